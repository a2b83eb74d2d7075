import words from '../../../core/src/main/resources/jalon/words/en.json'
import problem from '../../../server/src/main/resources/jalon/words/problems.en.json'
import type { Schema } from '../api/types'
import log from './log'

/** All words of the interface. Those for the core's codes are the core's: reports use them too. */
export default {
  reason: words.reason satisfies Record<Schema['Reason']['code'], string>,
  problem: problem satisfies Record<Schema['Problem']['code'], string>,
  unread: words.unread satisfies Record<Schema['Unread']['code'], string>,
  unreadAfter: '{attempts} attempts failed; {said}',
  reasonShort: { patch: 'patch {code}' },
  log,
  logStep: { undone: 'undid: {done}', doneAgain: 'did again: {done}' },
  ledger: { received: '{n} page received | {n} pages received', filed: '{n} filed', separator: '{n} separator | {n} separators', blank: '{n} blank', setAside: '{n} set aside', setAsideBy: '{n} set aside by {by}', unreadable: '{n} not readable', withdrawn: '{n} withdrawn', open: '{n} open' },
  app: { name: 'Jalon', noServer: 'The server does not answer. Try again in a moment.', signOut: 'Sign out', help: 'Keys', close: 'Close', loading: 'Loading', keysHere: 'Keys on this screen', noKeys: 'This screen has no keys of its own.' },
  nav: { rescans: 'Rescans', board: 'Day board', day: 'The day', intake: 'Intake', archive: 'Archive', streams: 'Streams' },
  password: {
    title: 'Your password',
    lead: '{name}, it has at least 12 characters; a few words that have nothing to do with each other are best.',
    before: 'Password so far',
    after: 'New password',
    again: 'New password once more',
    differ: 'The new password was not typed the same twice.',
    done: 'Your password is changed. Wherever else you were signed in, you are not any more.',
    change: 'Change it',
  },
  signIn: { title: 'Sign in', name: 'Name', password: 'Password', go: 'Sign in', lead: 'Where one document ends and the next begins.' },
  stages: { intake: 'Intake', pages: 'Pages', index: 'Index', filing: 'Filing', done: 'Done' },
  board: {
    next: 'Next for you', nothing: 'Nothing waits for you. New batches show here as they arrive.', start: 'Start',
    batch: 'Batch', stream: 'Stream', pages: 'Pages', stage: 'Stage', doubts: 'Doubts', waiting: 'In stage', due: 'Due', with: 'With',
    late: 'Late by {time}', dueIn: 'in {time}', doneAt: 'done', nobody: 'nobody', read: '{read} of {pages} read',
    empty: 'No batches yet. Bring one in on the Intake screen.', doubtsIn: '{n} doubt in {stage} | {n} doubts in {stage}', noDoubts: 'no doubts, ready to file', count: '{n} batches', all: 'All streams',
    up: 'Row above', down: 'Row below', open: 'Open the batch at its stage', about: 'About the batch', onHold: 'on hold: {why}', withdrawn: 'withdrawn', noneSuch: 'No batch is like this. Take a filter off.', only: { mine: 'With me', free: 'With nobody', late: 'Late or nearly', held: 'On hold', byItself: 'By itself' }, byItself: 'by itself', waits: { pages: 'for a look', index: 'for values', filing: 'for a word' },
  },
  intake: {
    title: 'Bring in paper', scan: 'Scan paper', files: 'Bring files', stream: 'Stream', drop: 'Drop files or folders here, or', choose: 'choose files', chooseFolder: 'choose a folder', kinds: 'TIFF, JPEG, PNG or PDF. They make one batch.',
    sent: '{pages} page | {pages} pages', rejected: 'Not read', looked: 'looked at {time}', taken: '{n} taken | {n} taken', open: 'Batch {no}: no page could be read | Batch {no}: {pages} page, being read | Batch {no}: {pages} pages, being read', go: 'To the Day board', again: 'Bring in another', cancel: 'Stop sending', stopped: 'stopped', goOn: 'Go on sending', enough: 'That is all: make it a batch', all: '{done} of {n} files',
    failed: 'Not sent: {why}', never: 'not looked at yet', last: 'Batch {no} is being read.', begun: '{no} ({title}) is not complete: {pages} page so far. | {no} ({title}) is not complete: {pages} pages so far.',
  },
  scan: {
    none: 'No scanner is set up. A supervisor adds one under Channels.', device: 'Scanner', source: 'Paper in', feeder: 'feeder', flatbed: 'flatbed', dpi: 'Resolution', colour: 'Colours', bitonal: 'black and white', grey: 'grey', size: 'Page size', sides: 'Sides', front: 'front only', both: 'front and back', show: 'Show', everyPage: 'every page', everyNth: 'every {n}th page',
    start: 'Scan', goOn: 'Go on scanning', stop: 'Stop', finish: 'That is all', count: '{no}: sheets {sheets}, pages {pages}', expected: 'Pages expected', lead: 'Put paper in and press S. Pages show here as they arrive.', waiting: 'Waiting for the first page', fault: 'Scanning stopped', here: 'No sheet of this stack is here yet. | Sheet 1 is here. | Sheets 1 to {n} of this stack are here.', putBack: 'Put sheet {next} and those after it back and go on.', again: 'Look again', sheetFront: 'sheet {n} front', sheetBack: 'sheet {n} back', unreadable: 'not readable',
  },
  channels: {
    line: 'Waiting line', waiting: '{n} page waits to be read, about {minutes} min | {n} pages wait to be read, about {minutes} min', noneWaiting: 'No page waits to be read.', title: 'Channels', add: 'Add a channel', none: 'No channel yet.', folder: 'folder', mailbox: 'mailbox', scanner: 'scanner', well: 'well', paused: 'paused', problem: 'needs you', byFolder: 'stream by sub-folder', next: 'next in {time}', since: 'Since {time}:', rejected: '{n} not usable, set aside | {n} not usable, set aside', run: 'Look now', pause: 'Pause', resume: 'Go on', change: 'Change',
    name: 'Name', kind: 'Kind', byStream: 'one sub-folder for each stream, named like it', privacy: 'Privacy', save: 'Save', keep: 'as it is', remove: 'Remove', removeNow: 'Remove it now',
    f: { folder: 'Folder on the server', everySeconds: 'Every … seconds', cron: 'or by schedule', gatherSeconds: 'Gather until quiet (s)', settleSeconds: 'Complete after (s)', host: 'Host', port: 'Port', user: 'User', password: 'Password', certificate: 'Only certificate', inbox: 'Folder', done: 'Done folder', aside: 'Aside folder', replyFrom: 'Tell senders from', address: 'Address' },
  },
  tokens: { title: 'Programs', make: 'Make a token', name: 'Name of the program', none: 'No program may send yet.', once: 'Give this to the program now; it is not shown again.', revoke: 'Revoke', revoked: 'revoked {time}', used: 'last used {time}', unused: 'never used' },
  header: { title: 'Batch header sheet', pages: 'Pages', documents: 'Documents', print: 'Print the sheet' },
  card: {
    source: 'Came from', pages: 'Holds', counts: '{pages} pages, {documents} documents, {doubts} doubts', onSheets: '{pages} pages on {sheets} scanned sheets, {documents} documents, {doubts} doubts', onHold: 'On hold', take: 'Take it', takeOver: 'Take it over', handBack: 'Hand back', handOn: 'Hand on to', give: 'Hand on', priority: 'Priority', p: { normal: 'normal', high: 'high', urgent: 'urgent' }, setDue: 'Set', sendBack: 'Send back to {stage}', hold: 'Put on hold', release: 'Release', withdraw: 'Withdraw', why: { hold: 'Why nobody is to work on it', withdraw: 'Why it is taken out for good' }, withdrawNote: 'Its pages stay and its ledger says what became of them.', log: 'What happened', withOther: '{who} has this batch.',
  },
  gap: { placeholder: 'a placeholder sheet stands here', open: 'Gap here', say: 'Write it down', mark: 'gap', what: 'What is still to come after this page?', why: 'Why will it not come?', after: 'Gap after page {page}', show: 'Show', fill: 'Fill from a file', waive: 'It will not come' },
  counts: { differ: 'Counts differ', pages: '{expected} pages expected, {n} arrived', documents: '{expected} documents expected, {n} found', accept: 'Leave it so', why: 'Why is the difference right?', accepted: 'left so by {by}: {why}' },
  day: { title: 'The day', before: 'Day before', after: 'Day after', received: '{n} page came in, by hour | {n} pages came in, by hour', filed: '{n} page filed, by hour | {n} pages filed, by hour', sheets: ', {n} scanned sheet among them | , {n} scanned sheets among them', nothingIn: 'Nothing came in.', nothingOut: 'Nothing was filed.', in: 'Pages in', out: 'Pages filed', open: 'Pages open now', batches: 'Batches open', untouched: 'Filed untouched', doubts: 'Doubts per 100 fields', of: 'of {n}', note: 'Untouched: documents filed without a person changing cut, type or a value. Doubts: when a batch was first read.' },
  line: { onSheets: '{pages} pages on {sheets} sheets, {documents} documents, {doubts} doubts, {aside} taken out', summary: '{pages} pages, {documents} documents, {doubts} doubts, {aside} taken out', segment: 'Document {no}, {pages} pages, {doubts} doubts' },
  image: {
    said: '{what} {figure}, limit {limit}', accept: 'Keep as it is', repair: 'Repair', ask: 'Scan again', unask: 'It need not be', figures: 'All figures', most: 'at most {limit}', least: 'at least {limit}', noLimit: 'no limit', beyond: 'beyond its limit', askWhy: 'Why it is to be scanned again', hold: 'Hold to see it as received:', asked: 'To be scanned again: {why} ({by})', accepted: 'kept as it is by {by}, {at}', repairedBy: 'Repaired by {by}', repairedByStream: 'Repaired by the stream', forReading: '(for reading only; filed as received)', eye: 'Only pages that need an eye', eyeShort: 'Eye', all: 'All pages', noneNeed: 'No page needs an eye.', again: 'scan again', kept: 'kept', repaired: 'repaired', report: 'Image report',
    kinds: { skew: 'Skew', upright: 'Upright', blur: 'Blur', contrast: 'Contrast', darkness: 'Darkness', uneven: 'Uneven light', specks: 'Specks', edge: 'Black edge', holes: 'Punch holes', corner: 'Corner missing', cutOff: 'Print cut off', compression: 'Compression', resolution: 'Resolution', fineness: 'Resolution', shortSide: 'Short side', longSide: 'Long side', length: 'Longer than usual', repeat: 'Repeats the page before' },
    short: { skew: 'skewed', upright: 'which way up?', blur: 'blurred', contrast: 'faint', darkness: 'dark', uneven: 'uneven', specks: 'specks', edge: 'black edge', holes: 'holes', corner: 'corner', cutOff: 'cut off', compression: 'compressed', resolution: 'coarse', fineness: 'too fine', shortSide: 'small', longSide: 'long', length: 'two sheets?', repeat: 'twice?' },
    units: { skew: 'degrees', upright: 'certainty of its words', blur: 'mm from ink to paper', contrast: 'of ink to paper', darkness: 'of the paper', uneven: 'of the light lost', specks: 'to a cm²', edge: 'mm deep', holes: '', corner: 'mm', cutOff: 'mm of the edge', compression: 'of full range', resolution: 'dpi', fineness: 'dpi', shortSide: 'mm', longSide: 'mm', length: 'mm: two fed at once?', repeat: 'of its words, same places' },
  },
  repair: { straighten: 'Straighten', whitenEdges: 'Whiten edges', fillHoles: 'Fill holes', cleanSpecks: 'Clean specks', evenLight: 'Even the light', levels: 'Brightness and contrast', sharpen: 'Sharpen', dropColour: 'Drop a colour', bitonal: 'Black and white', which: 'Ink', colours: { any: 'whatever there is', red: 'red', green: 'green', blue: 'blue' }, brightness: 'Brightness', contrast: 'Contrast', save: 'Repair it so', streams: 'As the stream says' },
  limits: { open: 'Page limits', title: 'Page limits', batch: 'Tried on batch', pages: '{n} pages', any: '{n} of {of} pages would need an eye', save: 'Save as a new version', usual: 'Usual', limit: 'Limit', chart: '{n} of {of} pages beyond the limit', would: 'At this limit {n} of {of} pages would be shown to a person.', nothing: 'No page of this batch has this figure.', inside: 'Just inside', outside: 'Just outside', noneThere: 'none' },
  rescans: { title: 'Nothing to scan again | {n} page to scan again | {n} pages to scan again', none: 'Pages that are asked for again at the Page desk are listed here.', print: 'Print the list', fileOnly: '{file}, page {p}', inBatch: 'page {no} of the batch', noWords: 'No word can be read on it.', by: 'asked by {by}', fill: 'Scan it now or take a file', show: 'Show it in its batch' },
  bring: { after: 'Pages after page {page}', replaces: 'Page {page} again, in its place', gap: 'Pages for the gap after page {page}', file: 'From a file', scan: 'Scan on {name}', noScanner: 'No scanner answers; a file does.', sending: 'Sending…', count: '{n} page arrived. | {n} pages arrived.', done: 'That is all' },
  pageDesk: {
    why: 'Why a document begins here', page: 'Page {no}', of: 'page {i} of {n} in document {no}', separator: 'separator sheet', blank: 'blank, set aside', setAside: 'set aside by {by}', doubt: 'Is this a first page?', flagged: 'flagged', flaggedBy: 'Flagged: {why}',
    byHand: 'by hand, {by}', plant: 'Plant stake', lift: 'Lift stake', confirm: 'It is', aside: 'Set aside', back: 'Put back', turn: 'Turn', type: 'Type', pick: 'Take one of the types shown', next: 'Next doubt', undo: 'Undo', redo: 'Do again', on: 'On to indexing',
    move: 'Move', size: 'Size', small: 'Small thumbnails', medium: 'Medium thumbnails', large: 'Large thumbnails', empty: 'No page of this batch could be read.', noDoubt: 'No doubts left in the cut.', lean: 'leans {deg}°', from: '{file}, page {p}', certainty: 'certain to {n} %',
    before: 'Hold to see the page as it was received', nextAside: 'Next page taken out', lens: 'Magnifier under the mouse', real: 'As large as the paper is',
    insert: 'Add pages after', replace: 'Replace page', left: 'Page before', right: 'Page after', rowUp: 'Row above', rowDown: 'Row below', moveLeft: 'Move the chosen pages one to the left', moveRight: 'Move the chosen pages one to the right', nextDoc: 'Next document', prevDoc: 'Document before', marks: 'Marks', none: 'none', chosen: '{n} pages chosen', filed: 'Filed; nothing can be changed any more.',
  },
  indexDesk: {
    document: 'document {no} of {n}', sure: 'sure', doubtful: 'doubtful', wrong: 'not right', empty: 'empty', settled: 'settled', settledBy: 'settled by {by}', notThere: 'not on the document', required: 'required', settle: 'Settle', next: 'Next doubt',
    allSettled: 'All settled.', fileIt: 'File it', toPages: 'Back to pages', noBox: 'no place on the page', hint: 'Click a word or drag a box on the page to read it into the field.', reading: 'Reading', needed: '{field} is needed: type it, or press Ctrl+0 when it is not on the document.', neededHere: '{field} is needed and cannot be left out: type it.', nothingRead: 'Nothing could be read there.', take: 'take', keep: 'Keep as read', leave: 'Leave the field', candidate: 'Take a candidate', absent: 'Not on the document', from: 'from {finder}, page {page}',
    fieldNext: 'Next field', zoomIn: 'Larger', zoomOut: 'Smaller', whole: 'Whole page', width: 'Page width', follow: 'Follow the field', otherPage: 'Other page of the document', noFields: 'This document type has no fields.', type: 'Type', left: '{n} doubt left | {n} doubts left',
  },
  filing: {
    tree: 'What will be made', made: 'What was made', file: 'File the batch', filed: 'Filed', planned: 'planned', running: 'being delivered', done: 'done', retrying: 'tried again', refused: 'needs you', leftOut: 'left out by {by}', nextTry: 'Next try {time}.', remedies: { now: 'Try it now', rename: 'Another name', number: 'Number it', leaveOut: 'Leave it out' } satisfies Record<Schema['DeskDelivery']['remedies'][number], string>, otherName: 'Another name', rename: 'File it under this name', notSo: 'Back', needsYou: '{n} file needs you | {n} files need you', doubts: 'Settle {n} doubt first. | Settle {n} doubts first.', toDoubts: 'To the doubts', none: 'No document in this batch.', ledger: 'Page ledger', underWay: 'Being filed', toBoard: 'To the Day board', document: 'Document {no}', up: 'Document above', down: 'Document below',
  },
  archive: {
    placeholder: 'Words, "words that stand together", or field:part, such as vessel:PM-48', search: 'Search the archive', found: '{n} document | {n} documents', more: 'The first {n} are shown; narrow the search.', none: 'Nothing found. Use fewer words or a shorter part of a value.', empty: 'The archive is empty. Filed documents are found here.', pages: '{n} page | {n} pages', filed: 'Filed {when}', hitOn: 'on page {page}', remove: 'Remove', fields: 'Fields you can search: {names}', newest: 'Newest documents',
    back: 'Back to the results', open: 'Open the PDF', from: 'Batch {batch}, filed {when} by {by}', hits: '{n} line with a hit | {n} lines with a hit', noHits: 'No words were searched for.', repaired: 'This page was repaired before it was filed: {how}.', copy: 'Copy',
  },
  notRead: { page: 'Page {n} could not be read', file: 'A file could not be read', again: 'Try it again' },
  signInWaits: {
    title: 'Sign-ins that failed', name: 'name', address: 'address', failed: '{n} attempt | {n} attempts',
    until: 'has to wait until {time}', mayTry: 'may try now', lift: 'Let try now', forget: 'Forget it',
  },
  streams: { title: 'Streams', import: 'Import a stream', export: 'Export', version: 'version {n}', saved: 'saved {when} by {by}', imported: '{title}, version {n}, is in force for new batches.', registers: 'Registers', lines: '{n} lines', columns: 'Columns: {names}', only: 'A supervisor can import streams.', faults: 'Lines left out', none: 'No stream yet. Import one.' },
}
