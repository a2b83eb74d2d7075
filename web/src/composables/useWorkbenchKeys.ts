import { useI18n } from 'vue-i18n'
import { useKeys } from './useKeys'
import type { Proposals } from './useProposals'
import type { Replay } from './useReplay'
import type { Workbench } from './useWorkbench'

interface On {
  bench: Workbench
  proposals: Proposals
  replay: Replay
  show: (tab: 'proposals' | 'replay') => void
  step: (by: number) => void
  choose: () => void
  live: () => void
  /** The paper at hand is right as it is read. */
  right: () => void
  /** What is right on it is to be said. */
  say: () => void
  /** The paper at hand, of a batch, is to be a sample. */
  keepPaper: () => void
  /** The place of the field at hand, moved or made larger by millimetres: right, down, wider, higher. */
  nudge: (by: number[]) => void
}

const STEP_MM = 0.5
const ARROWS: [string, number, number][] = [
  ['ArrowLeft', -STEP_MM, 0],
  ['ArrowRight', STEP_MM, 0],
  ['ArrowUp', 0, -STEP_MM],
  ['ArrowDown', 0, STEP_MM],
]

/** The keys of the workbench. */
export function useWorkbenchKeys({
  bench,
  proposals,
  replay,
  show,
  step,
  choose,
  live,
  right,
  say,
  keepPaper,
  nudge,
}: On) {
  const { t } = useI18n()
  const act = (key: string, label: string, run: () => unknown, more = {}) => ({
    key,
    on: key.length === 1 ? [key, key.toLowerCase()] : [key],
    label,
    run: () => void run(),
    ...more,
  })
  useKeys([
    act('O', t('workbench.addSamples'), choose),
    act('P', t('workbench.propose'), () => (show('proposals'), proposals.look())),
    act('T', t('workbench.take'), () => proposals.takeOne(), { shift: false }),
    act('T', t('workbench.takeWhole'), () => proposals.takeAll(), { shift: true, key: 'Shift+T' }),
    act('L', t('workbench.leave'), () => proposals.leave()),
    act('R', t('replay.run'), () => (show('replay'), replay.run())),
    act('Z', t('pageDesk.undo'), () => bench.undo(), { shift: false }),
    act('Z', t('pageDesk.redo'), () => bench.redo(), { shift: true, key: 'Shift+Z' }),
    act('ArrowRight', t('workbench.nextPage'), () => step(1), { key: '→' }),
    act('ArrowLeft', t('workbench.pageBefore'), () => step(-1), { key: '←' }),
    act('C', t('workbench.right.asRead'), right),
    act('E', t('workbench.right.put'), say),
    ...ARROWS.flatMap(([key, x, y]) => [
      act(key, t('workbench.nudge'), () => nudge([x, y, 0, 0]), {
        ctrl: true,
        shift: false,
        key: `Ctrl+${x ? '←→' : '↑↓'}`,
      }),
      act(key, t('workbench.widen'), () => nudge([0, 0, x, y]), {
        ctrl: true,
        shift: true,
        key: `Ctrl+Shift+${x ? '←→' : '↑↓'}`,
      }),
    ]),
    act('K', t('workbench.keepPaper'), keepPaper),
    act('G', t('workbench.goLive'), live),
  ])
}
