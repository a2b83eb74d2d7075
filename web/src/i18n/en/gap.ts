export default {
  placeholder: 'a placeholder sheet stands here',
  open: 'Gap here',
  say: 'Write it down',
  mark: 'gap',
  what: 'What is still to come after this page?',
  why: 'Why will it not come?',
  after: 'Gap after page {page}',
  show: 'Show',
  fill: 'Fill from a file',
  waive: 'It will not come',
}
