import { useI18n } from 'vue-i18n'
import { useKeys } from './useKeys'

/** What the Page desk's keys do; each is shown on its control and under the help key. */
export interface PageKeys {
  step: (by: number, extend: boolean) => void
  columns: () => number
  stepDocument: (by: number) => void
  toggleStake: () => void
  confirm: () => void
  toggleAside: () => void
  toggleGroup: () => void
  splitEvery: () => void
  carry: () => void
  drop: () => void
  teach: () => void
  turn: () => void
  toggleNaming: () => void
  pick: (n: number) => void
  nudge: (by: -1 | 1) => void
  gap: () => void
  insert: () => void
  replace: () => void
  accept: () => void
  repair: () => void
  again: () => void
  before: () => void
  figures: () => void
  onlyEyes: () => void
  nextDoubt: () => void
  nextAside: () => void
  lens: () => void
  zoom: (factor: number) => void
  fit: (to: 'whole' | 'width') => void
  real: () => void
  split: () => void
  showAll: () => void
  fold: () => void
  undo: () => void
  redo: () => void
  on: () => void
}

export function usePageKeys(does: PageKeys) {
  const { t } = useI18n()
  const letter = (key: string, label: string, run: () => void) => ({
    key,
    on: [key.toLowerCase(), key],
    label: t(label),
    run,
  })
  const sign = (key: string, label: string, run: () => void, on = [key]) => ({
    key,
    on,
    label: t(label),
    run,
  })
  const arrow = (key: string, on: string, label: string, by: () => number) => ({
    key,
    on: [on],
    label: t(label),
    run: (e: KeyboardEvent) => does.step(by(), e.shiftKey),
  })
  useKeys([
    arrow('←', 'ArrowLeft', 'pageDesk.left', () => -1),
    arrow('→', 'ArrowRight', 'pageDesk.right', () => 1),
    arrow('↑', 'ArrowUp', 'pageDesk.rowUp', () => -does.columns()),
    arrow('↓', 'ArrowDown', 'pageDesk.rowDown', does.columns),
    {
      key: 'Space',
      on: [' '],
      label: `${t('pageDesk.plant')} / ${t('pageDesk.lift')}`,
      run: does.toggleStake,
    },
    { ...letter('Y', 'pageDesk.confirm', does.confirm), label: t('pageDesk.confirmDoubt') },
    {
      ...letter('A', 'pageDesk.aside', does.toggleAside),
      label: `${t('pageDesk.aside')} / ${t('pageDesk.back')}`,
    },
    {
      ...letter('U', 'pageDesk.openGroup', does.toggleGroup),
      label: `${t('pageDesk.openGroup')} / ${t('pageDesk.joinGroup')}`,
    },
    letter('C', 'pageDesk.splitEvery', does.splitEvery),
    letter('Q', 'pageDesk.carry', does.carry),
    sign('Esc', 'pageDesk.carryNot', does.drop, ['Escape']),
    letter('L', 'pageDesk.teach', does.teach),
    letter('R', 'pageDesk.turn', does.turn),
    letter('T', 'pageDesk.type', does.toggleNaming),
    {
      key: '1–9',
      on: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
      label: t('pageDesk.pick'),
      run: (e) => does.pick(Number(e.key)),
    },
    sign(',', 'pageDesk.moveLeft', () => does.nudge(-1)),
    sign('.', 'pageDesk.moveRight', () => does.nudge(1)),
    letter('G', 'gap.open', does.gap),
    letter('F', 'pageDesk.insert', does.insert),
    letter('S', 'pageDesk.replace', does.replace),
    letter('K', 'image.accept', does.accept),
    letter('P', 'image.repair', does.repair),
    letter('O', 'image.ask', does.again),
    letter('B', 'pageDesk.before', does.before),
    letter('I', 'image.figures', does.figures),
    letter('E', 'image.eye', does.onlyEyes),
    letter('J', 'pageDesk.nextAside', does.nextAside),
    letter('M', 'pageDesk.lens', does.lens),
    sign('+', 'indexDesk.zoomIn', () => does.zoom(1.25), ['+', '=']),
    sign('-', 'indexDesk.zoomOut', () => does.zoom(0.8)),
    letter('H', 'indexDesk.whole', () => does.fit('whole')),
    letter('W', 'indexDesk.width', () => does.fit('width')),
    letter('D', 'pageDesk.real', does.real),
    letter('V', 'pageDesk.split', does.split),
    sign('0', 'pageDesk.showAll', does.showAll),
    letter('X', 'pageDesk.fold', does.fold),
    letter('N', 'pageDesk.next', does.nextDoubt),
    sign('[', 'pageDesk.prevDoc', () => does.stepDocument(-1)),
    sign(']', 'pageDesk.nextDoc', () => does.stepDocument(1)),
    { key: 'Z', on: ['z'], shift: false, label: t('pageDesk.undo'), run: does.undo },
    { key: 'Shift+Z', on: ['Z'], shift: true, label: t('pageDesk.redo'), run: does.redo },
    sign('Enter', 'pageDesk.on', does.on),
  ])
}
