import { useI18n } from 'vue-i18n'

/** What a list offers: values with the words for them, which stand under one key of the interface's words. */
export function useChoices() {
  const { t } = useI18n()
  return <T extends string>(values: readonly T[], under: string) =>
    values.map((value) => ({ value, label: t(`${under}.${value}`) }))
}
