import { useI18n } from 'vue-i18n'
import { worded, type Schema } from '../api/client'

/** What is to be said of a stack that is being scanned, and where to begin again after a fault. */
export function useScanWords() {
  const { t } = useI18n()
  return ({ standing, trouble, sheets }: Schema['State']) => {
    if (!trouble) return ''
    const what = worded(trouble)
    return standing === 'fault'
      ? `${what} ${t('scan.here', { n: sheets }, Math.min(sheets, 2))} ${t('scan.putBack', { next: sheets + 1 })}`
      : what
  }
}
