export default {
  after: 'Pages after page {page}',
  replaces: 'Page {page} again, in its place',
  gap: 'Pages for the gap after page {page}',
  file: 'From a file',
  scan: 'Scan on {name}',
  noScanner: 'No scanner answers; a file does.',
  sending: 'Sending…',
  count: '{n} page arrived. | {n} pages arrived.',
  done: 'That is all',
}
