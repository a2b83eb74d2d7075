export default {
  open: 'How it does',
  title: 'How {title} does',
  none: 'Nothing of this stream was filed in the last 90 days.',
  days: 'What was filed in the last 90 days.',
  weeks: 'Week by week',
  week: 'Week of',
  documents: 'Documents',
  untouched: 'Untouched',
  doubts: 'Doubts per hundred values',
  sureWrong: 'Sure and wrong',
  causes: 'What doubts come from',
  cause:
    'one doubt, {needless} of it right as it stood | one doubt, {needless} of it right as it stood | ' +
    '{n} doubts, {needless} of them right as they stood',
  noDoubts: 'No doubt.',
  corrected: 'What people corrected',
  noneCorrected: 'Nothing was corrected.',
  rule: '“{field}” of “{type}”, {finder}',
  wrong: 'corrected {wrong} of {looked} times that somebody looked; {sureWrong} of these were called sure',
  drifting: 'Types that are read badly of late',
  noneDrifts: 'None: each type is read as it was before.',
  drift:
    'Of the last {of} documents {badly} were half in doubt or corrected; before, {badlyBefore} of {ofBefore}. ' +
    'Perhaps a sender has a new layout: look at these, and make one of them a variant.',
  toRule: 'Look at the rule on document {document} of {batch}',
  at: '{batch}, document {document}',
  finder: {
    label: 'by a label',
    shape: 'by its form',
    zone: 'at a place',
    barcode: 'in a barcode',
    register: 'from a register',
    ticks: 'by ticks',
    inherited: 'from the batch',
    fields: 'from other fields',
    none: 'found nowhere',
  },
}
