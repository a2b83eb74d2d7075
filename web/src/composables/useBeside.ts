import { computed, ref, type ComputedRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/**
 * What is looked at together with the page: left of it the specimen of the type that is thought of, else the page
 * before one in doubt; or instead of it alone all pages of its document.
 */
export function useBeside(
  no: string,
  specimen: ComputedRef<{ batch: string; page: number; title: string } | undefined>,
  before: ComputedRef<Schema['DeskPage'] | undefined>,
  document: ComputedRef<Schema['DocumentView'] | undefined>,
  pageByNo: ComputedRef<Map<number, Schema['DeskPage']>>,
) {
  const { t } = useI18n()
  const left = computed(() => {
    const shown = specimen.value
    if (shown) {
      const caption = t('pageDesk.specimenOf', { type: shown.title })
      return { no: shown.batch, page: { no: shown.page, rotation: 0 }, caption }
    }
    const page = before.value
    return page && { no, page, caption: t('pageDesk.pageBefore', { no: page.no }) }
  })
  const allWanted = ref(false)
  /** None for a document of one page: that is shown as always. */
  const together = computed(() => {
    const pages = (allWanted.value && document.value?.pages) || []
    return pages.length > 1 ? pages.flatMap((p) => pageByNo.value.get(p) ?? []) : []
  })
  return { left, together, showAll: () => (allWanted.value = !allWanted.value) }
}
