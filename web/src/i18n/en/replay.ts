export default {
  lead: 'The draft is held against batches that were filed: what people confirmed there is right.',
  which: 'Batches',
  last: 'the last {n} batches',
  days: 'those filed in the last {n} days',
  erased:
    'One more was filed and is left out: pages of it were erased. | ' +
    'One more was filed and is left out: pages of it were erased. | ' +
    '{n} more were filed and are left out: pages of them were erased.',
  took: 'It took {now} s; the saved version {before} s.',
  takeAlong: 'Take these batches along, to replay them elsewhere',
  run: 'Replay',
  stop: 'Stop',
  done: '{n} of {of} batches',
  none: 'A batch of this stream that was filed and is not erased can be replayed.',
  old: 'The draft has been changed since.',
  better: 'better',
  worse: 'worse',
  same: 'same',
  other: 'other, as good',
  doubts: 'in doubt',
  wrong: 'sure and wrong',
  what: { cut: 'Cuts', type: 'Types', value: 'Values' },
  one: { cut: 'cut', type: 'type', value: 'value' },
  at: '{batch}, page {page}',
  confirmed: 'right',
  did: { sureAndRight: 'sure and right', inDoubt: 'in doubt', sureAndWrong: 'sure and wrong' },
  held:
    'Held against one batch that people confirmed; places that are worse than now: {worse}. | ' +
    'Held against one batch that people confirmed; places that are worse than now: {worse}. | ' +
    'Held against {n} batches that people confirmed; places that are worse than now: {worse}.',
  more: 'one more | one more | {n} more',
  sayWhy: 'It does {n} places worse than now on confirmed batches. Say above why it goes live all the same.',
}
