export default {
  title: 'The day',
  before: 'Day before',
  after: 'Day after',
  received: '{n} page came in, by hour | {n} pages came in, by hour',
  filed: '{n} page filed, by hour | {n} pages filed, by hour',
  sheets: '· {n} scanned sheet among them | · {n} scanned sheets among them',
  nothingIn: 'Nothing came in.',
  nothingOut: 'Nothing was filed.',
  in: 'Pages in',
  out: 'Pages filed',
  open: 'Pages open now',
  batches: 'Batches open',
  untouched: 'Filed untouched',
  doubts: 'Doubts per 100 fields',
  of: 'of {n}',
  filedTroubles: '{n} filed file is not as it was filed | {n} filed files are not as they were filed',
  filedFrom: 'Batch {batch}, document {document}, at {destination}',
  note:
    'Untouched: documents filed without a person changing cut, type or a value. Doubts: when a batch was ' +
    'first read.',
}
