export default {
  title: 'Versions of {title}',
  changed: 'What version {n} changed:',
  first: 'The first version.',
  unchanged: 'Version {n} is as the one before it.',
  revert: 'Back to version {n}',
  copy: 'Copy as another stream',
  copyTitle: 'What the copy is called',
  copySave: 'Make the copy',
}
