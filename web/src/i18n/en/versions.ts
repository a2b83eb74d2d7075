export default {
  title: 'Versions of {title}',
  changed: 'Version {n} says otherwise than',
  against: 'another version',
  first: 'The first version.',
  revert: 'Back to version {n}',
  copy: 'Copy as another stream',
  copyTitle: 'What the copy is called',
  copySave: 'Make the copy',
}
