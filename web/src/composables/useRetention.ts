import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { day } from '../parts/times'

/** Words and names for documents that are kept for a time. */
export function useRetention() {
  const { t } = useI18n()

  /** The date that their time is counted from. */
  const countedFrom = (kept: Schema['KeptFor']) =>
    kept.field
      ? t('retention.field', { field: kept.field, day: day(kept.counted) })
      : t('retention.filing', { day: day(kept.counted) })

  /** As the server knows one. */
  const filedAs = ({ batch, document }: { batch: string; document: number }) => ({ batch, document })

  return { countedFrom, filedAs }
}
