export default {
  title: 'Streams',
  import: 'Import a stream',
  export: 'Export',
  types: 'Types and samples',
  versions: 'Versions',
  version: 'version {n}',
  saved: 'saved {when} by {by}',
  imported: '{title}, version {n}, is in force for new batches.',
  today: 'Pages today',
  inForce: 'In force',
  only: 'A supervisor can import streams.',
  none: 'No stream yet. Import one.',
}
