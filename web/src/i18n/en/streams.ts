export default {
  title: 'Streams',
  import: 'Import a stream',
  export: 'Export',
  version: 'version {n}',
  saved: 'saved {when} by {by}',
  imported: '{title}, version {n}, is in force for new batches.',
  registers: 'Registers',
  lines: '{n} lines',
  columns: 'Columns: {names}',
  only: 'A supervisor can import streams.',
  faults: 'Lines left out',
  none: 'No stream yet. Import one.',
}
