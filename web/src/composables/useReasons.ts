import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Decision, Schema } from '../api/client'

interface Desk {
  page: ComputedRef<Schema['DeskPage'] | undefined>
  locked: ComputedRef<boolean>
  gap: ComputedRef<Schema['Gap'] | null>
  decide: (decision: Decision) => Promise<unknown>
  nextDoubt: () => void
}

/** What a reason is typed for: what is missing, why it will not come, why the counts are right, what to scan again. */
export type Asked = 'gap' | 'waive' | 'counts' | 'again'

const LABELS: Record<Asked, string> = {
  gap: 'gap.what',
  waive: 'gap.why',
  counts: 'counts.why',
  again: 'image.askWhy',
}

/** Acts of the Page desk that want a reason: it is asked for, and with it the act is done. */
export function useReasons({ page, locked, gap, decide, nextDoubt }: Desk) {
  const { t } = useI18n()
  const asking = ref<{ what: Asked; page: number } | null>(null)
  const label = computed(() => (asking.value ? t(LABELS[asking.value.what]) : ''))
  const given = computed(() =>
    asking.value?.what === 'again'
      ? (page.value?.image.findings.map((f) => t(`image.short.${f.kind}`)).join(', ') ?? '')
      : '',
  )
  function ask(what: Asked, at: number) {
    if (!locked.value && !(what === 'gap' && gap.value?.open)) asking.value = { what, page: at }
  }
  function answer(text: string) {
    const a = asking.value
    asking.value = null
    if (a?.what === 'gap') void decide({ act: 'openGap', page: a.page, note: text })
    else if (a?.what === 'waive') void decide({ act: 'closeGap', page: a.page, waivedBecause: text })
    else if (a?.what === 'again')
      void decide({ act: 'askAgain', page: a.page, because: text }).then(nextDoubt)
    else if (a) void decide({ act: 'acceptCounts', because: text })
  }
  return { asking: asking as Ref<typeof asking.value>, label, given, ask, answer }
}
