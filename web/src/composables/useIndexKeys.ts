import { useI18n } from 'vue-i18n'
import type { Indexing } from './useIndexing'
import { useKeys } from './useKeys'

interface View {
  typing: () => boolean
  zoom: (factor: number) => void
  fit: (to: 'whole' | 'width') => void
  follow: () => void
  undo: () => void
  redo: () => void
  nextBatch: () => void
  toPages: () => void
  toFiling: () => void
  toTable: () => void
  /** The rule by which the field is found; null for whoever makes no streams. */
  toRule: (() => void) | null
}

/** The Index desk's keys: those that work while a value is typed, and single ones. */
export function useIndexKeys(x: Indexing, view: View) {
  const { t } = useI18n()
  const typing = { typing: true }
  const letter = (key: string, label: string, run: () => void) => ({
    key,
    on: [key.toLowerCase(), key],
    label: t(label),
    run,
  })
  function enter() {
    if (view.typing() && x.field.value && !x.locked.value) void x.settle(x.draft.value)
    else if (x.doubts.value.length) void x.nextDoubt()
    else view.toFiling()
  }
  const next = () => (x.doubtsOpen.value.length ? void x.nextDoubt() : view.nextBatch())
  useKeys([
    { key: 'Enter', on: ['Enter'], ...typing, label: t('indexDesk.settle'), run: enter },
    {
      key: 'Tab',
      on: ['Tab'],
      ...typing,
      label: t('indexDesk.fieldNext'),
      run: (e) => x.stepField(e.shiftKey ? -1 : 1),
    },
    {
      key: 'Ctrl+1–9',
      on: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
      ctrl: true,
      ...typing,
      label: t('indexDesk.candidate'),
      run: (e) => x.take(Number(e.key)),
    },
    { key: 'Ctrl+0', on: ['0'], ctrl: true, ...typing, label: t('indexDesk.absent'), run: x.absent },
    { key: 'Ctrl+D', on: ['d'], ctrl: true, ...typing, label: t('indexDesk.asBefore'), run: x.asBefore },
    ...(view.toRule
      ? [{ key: 'Ctrl+E', on: ['e'], ctrl: true, ...typing, label: t('indexDesk.toRule'), run: view.toRule }]
      : []),
    letter('N', 'indexDesk.next', next),
    { key: 'Z', on: ['z'], shift: false, label: t('pageDesk.undo'), run: view.undo },
    { key: 'Shift+Z', on: ['Z'], shift: true, label: t('pageDesk.redo'), run: view.redo },
    { key: '[', on: ['['], label: t('pageDesk.prevDoc'), run: () => x.stepDocument(-1) },
    { key: ']', on: [']'], label: t('pageDesk.nextDoc'), run: () => x.stepDocument(1) },
    letter('P', 'indexDesk.otherPage', x.otherPage),
    { key: '+', on: ['+', '='], label: t('indexDesk.zoomIn'), run: () => view.zoom(1.25) },
    { key: '-', on: ['-'], label: t('indexDesk.zoomOut'), run: () => view.zoom(0.8) },
    letter('H', 'indexDesk.whole', () => view.fit('whole')),
    letter('W', 'indexDesk.width', () => view.fit('width')),
    letter('F', 'indexDesk.follow', view.follow),
    letter('B', 'indexDesk.toPages', view.toPages),
    letter('T', 'table.title', view.toTable),
  ])
}
