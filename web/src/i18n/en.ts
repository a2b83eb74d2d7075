/** All words of the interface. */
export default {
  app: { name: 'Jalon', noServer: 'The server does not answer. Try again in a moment.', signOut: 'Sign out', help: 'Keys', close: 'Close', loading: 'Loading', keysHere: 'Keys on this screen', noKeys: 'This screen has no keys of its own.' },
  nav: { board: 'Day board', intake: 'Intake', archive: 'Archive', streams: 'Streams' },
  signIn: { title: 'Sign in', name: 'Name', password: 'Password', go: 'Sign in', lead: 'Where one document ends and the next begins.' },
  stages: { intake: 'Intake', pages: 'Pages', index: 'Index', filing: 'Filing', done: 'Done' },
  board: {
    next: 'Next for you', nothing: 'Nothing waits for you. New batches show here as they arrive.', start: 'Start',
    batch: 'Batch', stream: 'Stream', pages: 'Pages', stage: 'Stage', doubts: 'Doubts', waiting: 'In stage', due: 'Due', with: 'With',
    late: 'Late by {time}', dueIn: 'in {time}', doneAt: 'done', nobody: 'nobody', read: '{read} of {pages} read',
    empty: 'No batches yet. Bring one in on the Intake screen.', doubtsIn: '{n} doubt in {stage} | {n} doubts in {stage}', noDoubts: 'no doubts, ready to file', count: '{n} batches', all: 'All streams',
    up: 'Row above', down: 'Row below', open: 'Open the batch at its stage',
  },
  intake: {
    title: 'Bring in paper', stream: 'Stream', drop: 'Drop files here, or', choose: 'choose files', kinds: 'TIFF, JPEG, PNG or PDF. They make one batch.',
    sending: 'Sending', sent: '{pages} pages', rejected: 'Not read', folders: 'Watched folders', noFolders: 'No folder is watched. They are set where the server is started.',
    looked: 'Looked at {time}', taken: '{n} files taken', refused: '{n} not readable, moved to its folder "rejected"', open: 'Batch {no}: {pages} pages, being read', go: 'To the Day board', again: 'Bring in another', cancel: 'Stop sending',
    failed: 'Not sent: {why}', never: 'Not looked at yet',
  },
  line: { summary: '{pages} pages, {documents} documents, {doubts} doubts, {aside} taken out', segment: 'Document {no}, {pages} pages, {doubts} doubts' },
  pageDesk: {
    why: 'Why a document begins here', page: 'Page {no}', of: 'page {i} of {n} in document {no}', separator: 'separator sheet', blank: 'blank, set aside', setAside: 'set aside by {by}', doubt: 'Is this a first page?',
    byHand: 'by hand, {by}', plant: 'Plant stake', lift: 'Lift stake', confirm: 'It is', aside: 'Set aside', back: 'Put back', turn: 'Turn', type: 'Type', pick: 'Take one of the types shown', next: 'Next doubt', undo: 'Undo', redo: 'Do again', on: 'On to indexing',
    move: 'Move', size: 'Size', small: 'Small thumbnails', medium: 'Medium thumbnails', large: 'Large thumbnails', empty: 'No page of this batch could be read.', rejected: 'Could not be read', noDoubt: 'No doubts left in the cut.', lean: 'leans {deg}°', from: '{file}, page {p}', certainty: 'certain to {n} %',
    left: 'Page before', right: 'Page after', rowUp: 'Row above', rowDown: 'Row below', moveLeft: 'Move the chosen pages one to the left', moveRight: 'Move the chosen pages one to the right', nextDoc: 'Next document', prevDoc: 'Document before', marks: 'Marks', none: 'none', chosen: '{n} pages chosen', filed: 'Filed; nothing can be changed any more.',
  },
  indexDesk: {
    document: 'document {no} of {n}', sure: 'sure', doubtful: 'doubtful', wrong: 'not right', empty: 'empty', settled: 'settled', settledBy: 'settled by {by}', notThere: 'not on the document', required: 'required', settle: 'Settle', next: 'Next doubt',
    allSettled: 'All settled.', fileIt: 'File it', toPages: 'Back to pages', noBox: 'no place on the page', hint: 'Click a word or drag a box on the page to read it into the field.', reading: 'Reading', nothingRead: 'Nothing could be read there.', take: 'take', keep: 'Keep as read', leave: 'Leave the field', candidate: 'Take a candidate', absent: 'Not on the document', from: 'from {finder}, page {page}',
    fieldNext: 'Next field', zoomIn: 'Larger', zoomOut: 'Smaller', whole: 'Whole page', width: 'Page width', follow: 'Follow the field', otherPage: 'Other page of the document', noFields: 'This document type has no fields.', type: 'Type', left: '{n} doubt left | {n} doubts left',
  },
  filing: {
    tree: 'What will be made', made: 'What was made', file: 'File the batch', filed: 'Filed', planned: 'planned', done: 'done', failed: 'failed, tried again', numbered: 'name was taken, numbered', doubts: 'Settle {n} doubt first. | Settle {n} doubts first.', toDoubts: 'To the doubts', none: 'No document in this batch.', ledger: 'Page ledger', underWay: 'Being filed', toBoard: 'To the Day board', document: 'Document {no}', up: 'Document above', down: 'Document below',
  },
  archive: {
    placeholder: 'Words, "words that stand together", or field:part, such as vessel:PM-48', search: 'Search the archive', found: '{n} document | {n} documents', more: 'The first {n} are shown; narrow the search.', none: 'Nothing found. Use fewer words or a shorter part of a value.', empty: 'The archive is empty. Filed documents are found here.', pages: '{n} page | {n} pages', filed: 'Filed {when}', hitOn: 'on page {page}', remove: 'Remove', fields: 'Fields you can search: {names}', newest: 'Newest documents',
    back: 'Back to the results', open: 'Open the PDF', from: 'Batch {batch}, filed {when} by {by}', hits: '{n} line with a hit | {n} lines with a hit', noHits: 'No words were searched for.', copy: 'Copy',
  },
  streams: { title: 'Streams', import: 'Import a stream', export: 'Export', version: 'version {n}', saved: 'saved {when} by {by}', imported: '{title}, version {n}, is in force for new batches.', registers: 'Registers', lines: '{n} lines', columns: 'Columns: {names}', only: 'A supervisor can import streams.', faults: 'Lines left out', none: 'No stream yet. Import one.' },
}
