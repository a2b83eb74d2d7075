import { computed, ref, type ComputedRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Decision, Schema } from '../api/client'

interface Desk {
  page: ComputedRef<Schema['DeskPage'] | undefined>
  locked: ComputedRef<boolean>
  gap: ComputedRef<Schema['Gap'] | null>
  decide: (decision: Decision) => Promise<boolean>
  nextDoubt: () => void
}

/** What is typed: what is missing, why it stays away, why counts are right, what to scan again, how many pages. */
export type Asked = 'gap' | 'waive' | 'counts' | 'again' | 'split'

const LABELS: Record<Asked, string> = {
  gap: 'gap.what',
  waive: 'gap.why',
  counts: 'counts.why',
  again: 'image.askWhy',
  split: 'pageDesk.splitAfter',
}

/** Acts of the Page desk that want a word first: it is asked for, and with it the act is done. */
export function useReasons({ page, locked, gap, decide, nextDoubt }: Desk) {
  const { t } = useI18n()
  const asking = ref<{ what: Asked; page: number } | null>(null)
  let busy = false
  const label = computed(() => (asking.value ? t(LABELS[asking.value.what]) : ''))
  const given = computed(() =>
    asking.value?.what === 'again'
      ? (page.value?.image.findings.map((f) => t(`image.short.${f.kind}`)).join(', ') ?? '')
      : '',
  )
  function ask(what: Asked, at: number) {
    if (!locked.value && !(what === 'gap' && gap.value?.open)) asking.value = { what, page: at }
  }
  function decided(a: { what: Asked; page: number }, text: string): Decision {
    if (a.what === 'gap') return { act: 'openGap', page: a.page, note: text }
    if (a.what === 'waive') return { act: 'closeGap', page: a.page, waivedBecause: text }
    if (a.what === 'again') return { act: 'askAgain', page: a.page, because: text }
    if (a.what === 'split') return { act: 'splitEvery', page: a.page, every: Math.trunc(Number(text)) || 0 }
    return { act: 'acceptCounts', because: text }
  }
  /** What was typed stays until the server has taken it. */
  async function answer(text: string) {
    const a = asking.value
    if (!a || busy) return
    busy = true
    const taken = await decide(decided(a, text))
    busy = false
    if (!taken) return
    if (asking.value === a) asking.value = null
    if (a.what === 'again') nextDoubt()
  }
  return { asking, label, given, ask, answer }
}
