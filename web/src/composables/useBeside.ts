import { computed, type ComputedRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/** What lies left of the page: the specimen of the type that is thought of, else the page before one in doubt. */
export function useBeside(
  no: string,
  specimen: ComputedRef<{ batch: string; page: number; title: string } | undefined>,
  before: ComputedRef<Schema['DeskPage'] | undefined>,
) {
  const { t } = useI18n()
  return computed(() => {
    const shown = specimen.value
    if (shown) {
      const caption = t('pageDesk.specimenOf', { type: shown.title })
      return { no: shown.batch, page: { no: shown.page, rotation: 0 }, caption }
    }
    const page = before.value
    return page && { no, page, caption: t('pageDesk.pageBefore', { no: page.no }) }
  })
}
