import type { Schema } from '../api/client'
import { i18n } from '../i18n'
import { dueAt } from './late'
import { stretch } from './times'

/** When a batch is due, in words: how long there is, or how late it is. */
export function dueWords(r: Schema['Row'], now: number): string {
  const { t } = i18n.global
  if (r.withdrawn) return t('board.withdrawn')
  if (r.stage === 'done') return t('board.doneAt')
  const left = dueAt(r) - now
  return left < 0 ? t('board.late', { time: stretch(-left) }) : t('board.dueIn', { time: stretch(left) })
}
