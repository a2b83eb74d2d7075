import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/** Words for what the server says in codes. */
export function useWords() {
  const { t } = useI18n()

  /** Why something was decided or is in doubt. */
  const reason = (why: Schema['Reason'] | undefined) => (why ? t(`reason.${why.code}`, why.with) : '')

  /** All that was seen. */
  const reasons = (evidence: Schema['Evidence'][]) =>
    // Words of the paper at the end of one may bring their own comma.
    evidence.map((e) => reason(e.why).replace(/[\s,;:]+$/, '')).join('; ')

  /** The same in few words, for a tag on a stake. */
  const inShort = (why: Schema['Reason'] | undefined) =>
    why?.code.startsWith('patch') ? t('reasonShort.patch', why.with) : reason(why)

  /** A side of a sheet that was scanned. */
  const sheet = (no: number, side: Schema['CamePage']['side']) =>
    t(side === 'back' ? 'scan.sheetBack' : 'scan.sheetFront', { n: no })

  /** Why something was not read. */
  const unread = (why: Schema['Unread']) => {
    const said = t(`unread.${why.code}`, why.with)
    return why.attempts ? t('unreadAfter', { attempts: why.attempts, said }) : said
  }

  /** What somebody did. */
  const logged = ({ act, step, with: parts, because }: Schema['Logged']) => {
    const pages = parts.pages?.split(', ').length ?? 1
    const told = parts.right ? { ...parts, right: t(`people.rightIs.${parts.right}`) } : parts
    const done = t(`log.${act}`, told, pages) + (because ? `: ${unread(because)}` : '')
    return step === 'DONE' ? done : t(step === 'UNDONE' ? 'logStep.undone' : 'logStep.doneAgain', { done })
  }

  /** The account of a batch's pages; parts that are nothing are left out. */
  const ledger = (l: Schema['Ledger'], setAsideBy: string[]) => {
    const parts = (['erased', 'separator', 'blank', 'setAside', 'unreadable', 'withdrawn'] as const)
      .filter((part) => l[part] > 0)
      .map((part) =>
        part === 'setAside' && setAsideBy.length
          ? t('ledger.setAsideBy', { n: l[part], by: setAsideBy.join(', ') })
          : t(`ledger.${part}`, l[part]),
      )
    return [
      t('ledger.received', l.received),
      '=',
      [t('ledger.filed', l.filed), ...parts, t('ledger.open', l.open)].join(' + '),
    ].join(' ')
  }

  return { reason, reasons, inShort, sheet, unread, logged, ledger }
}
