export default {
  unknown: 'Of a kind that this version does not know: {kind}. It stays as it is.',
  up: 'Put number {n} one up',
  remove: 'Take number {n} out',
  which: 'Which value',
  more: 'More exactly',
  box: {
    mm: 'mm',
    left: 'Millimetres from the left',
    top: 'Millimetres from the top',
    width: 'Millimetres wide',
    height: 'Millimetres high',
    anywhere: 'anywhere',
    none: 'Not only there',
  },
  pair: {
    name: 'Name',
    says: 'What it says',
    none: 'no limit',
    spellings: 'other spellings',
    add: 'Add one',
    remove: 'Take it out',
  },
}
