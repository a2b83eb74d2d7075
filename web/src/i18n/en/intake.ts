export default {
  title: 'Bring in paper',
  scan: 'Scan paper',
  files: 'Bring files',
  how: 'How it comes',
  stream: 'Stream',
  drop: 'Drop files or folders here, or',
  choose: 'choose files',
  chooseFolder: 'choose a folder',
  kinds: 'TIFF, JPEG, PNG or PDF. They make one batch.',
  sent: '{pages} page | {pages} pages',
  rejectedWhy: 'Not read: {why}',
  looked: 'looked at {time}',
  taken: '{n} taken | {n} taken',
  open:
    'Batch {no}: no page could be read | Batch {no}: {pages} page, being read | Batch {no}: {pages} pages, ' +
    'being read',
  go: 'To the Day board',
  again: 'Bring in another',
  cancel: 'Stop sending',
  stopped: 'stopped',
  goOn: 'Go on sending',
  enough: 'That is all: make it a batch',
  all: '{done} of {n} files',
  failed: 'Not sent: {why}',
  never: 'not looked at yet',
  last: 'Batch {no} is being read.',
  begun:
    '{no} ({title}) is not complete: {pages} page so far. | {no} ({title}) is not complete: {pages} pages ' +
    'so far.',
}
