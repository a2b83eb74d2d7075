export default {
  differ: 'Counts differ',
  pages: '{expected} pages expected, {n} arrived',
  documents: '{expected} documents expected, {n} found',
  accept: 'Leave it so',
  why: 'Why is the difference right?',
  accepted: 'left so by {by}: {why}',
}
