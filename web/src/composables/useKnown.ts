import { inject, provide, type InjectionKey, type Ref } from 'vue'
import { api, type Schema } from '../api/client'
import type { Known } from '../parts/blanks'
import { namedLayout, titlesOf, type Draft, type Part } from '../parts/draft'
import { useLoad } from './useLoad'

type Offer = { value: string; label: string }
interface Names {
  /** What can be meant in a blank. @param beside the rest of its sentence */
  offers: (of: Known, beside: Part) => Offer[]
  /** Has what is not known yet fetched. */
  ask: (of: Known) => void
}
const NAMES: InjectionKey<Names> = Symbol('names')

interface At {
  draft: Ref<Draft | null>
  trial: Ref<Schema['Trial'] | null>
  chosen: Ref<{ type: string } | null>
}

/** Makes known to the sentences below what there is by name: registers and their columns, places, fields, layouts. */
export function provideKnown({ draft, trial, chosen }: At) {
  const registers = useLoad(() => api.GET('/api/registers'), false)
  const places = useLoad(() => api.GET('/api/places'), false)
  const plain = (names: string[]) => [...new Set(names)].sort().map((value) => ({ value, label: value }))
  function offers(of: Known, beside: Part): Offer[] {
    switch (of) {
      case 'registers':
        return plain((registers.data.value ?? []).map((r) => r.name))
      case 'columns': {
        const its = registers.data.value?.filter((r) => !beside.register || r.name === beside.register)
        return plain(its?.flatMap((r) => r.columns) ?? [])
      }
      case 'places':
        return plain((places.data.value ?? []).map((p) => p.name))
      case 'layouts':
        return plain((trial.value?.papers ?? []).flatMap((p) => namedLayout(p.variant) ?? []))
      case 'fields':
        return titlesOf(draft.value, chosen.value?.type ?? '').map((f) => ({ value: f.name, label: f.title }))
    }
  }
  function ask(of: Known) {
    const from = of === 'places' ? places : of === 'registers' || of === 'columns' ? registers : null
    if (from && !from.loading.value && !from.data.value) void from.load()
  }
  provide(NAMES, { offers, ask })
}

/** Outside of a workbench nothing is known, and names are typed. */
export const useKnown = () => inject(NAMES, { offers: () => [], ask: () => {} })
