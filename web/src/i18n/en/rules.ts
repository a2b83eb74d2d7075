export default {
  triedOn: 'Tried on',
  none: 'No rule: each batch is one document.',
  save: 'Save as a new version',
  add: 'Add a rule',
  up: 'Trust rule {n} more',
  down: 'Trust rule {n} less',
  remove: 'Take rule {n} out',
  inPart: 'only in {box} mm',
  noWords: 'no words',
  noText: 'anything',
  documents: '{now} documents as saved, {then} as drafted',
  wouldBe: '{n} documents, {doubts} doubts in cut and type',
  doubts: '{now} doubts, then {then}',
  others: 'no stake differs | one stake differs | {n} stakes differ',
  unknown: 'A rule of a kind that this version does not know: {by}',
  odd: {
    everyPage:
      'Every page of this batch would be a document of its own. Say more exactly what a first page has.',
    nowhere: 'No rule speaks for any page of this batch: all of it would be one document.',
  },
  onlyOthers: 'Only where it differs',
  change: { new: 'new stake', gone: 'stake gone' },
  kind: {
    barcode: 'A barcode',
    patch: 'Patch codes',
    words: 'Words',
    pages: 'Every so many pages',
    file: 'Every file',
    numbering: 'Page numbers',
    blank: 'A blank sheet',
    specimen: 'Known first pages',
    change: 'A value that changes',
    'pages-alone': 'The pages alone',
  },
  sentence: {
    barcode:
      '{opens} begins where a barcode of kind {kind} stands that looks like {like} ' +
      'or fits the pattern {pattern}; its sheet is {sheet}.',
    patch:
      'Patch 1: {patch1} Patch 2: {patch2} Patch 3: {patch3} Patch 4: {patch4} ' +
      'Patch 6: {patch6} Patch T: {patchT} The sheet is {sheet}.',
    words:
      '{opens} begins {on} all of {must} stand and none of {mustNot}, ' +
      'and where given a line fits the pattern {pattern}; its sheet is {sheet}.',
    pages: 'A document has {every} pages.',
    file: 'A document begins with each file.',
    numbering: 'A document begins with a page that numbers itself 1, in the spellings of ten languages.',
    blank: 'A document begins behind a blank sheet.',
    specimen: 'A document begins with a page that is like the first pages of the samples.',
    change: 'A document begins where a value changes that looks like {like}.',
    'pages-alone':
      'A document begins where the pages themselves say so: heads, greetings, numbers, paper, samples.',
  },
  blank: {
    opens: 'What begins',
    barcode: 'Kind of barcode',
    like: 'What it looks like: 9 a digit, A a letter',
    pattern: 'Pattern',
    sheet: 'What becomes of the sheet',
    meaning: 'What the patch code means',
    on: 'On which pages',
    must: 'Words that must stand there',
    mustNot: 'Words that must not',
    every: 'Pages',
  },
  any: {
    opens: 'A document',
    barcode: 'any kind',
    sheet: 'as usual',
    meaning: 'not looked for',
    on: 'with a page on which',
  },
  opens: { document: 'A document', group: 'A group', batch: 'A batch' },
  sheet: { kept: 'kept', dropped: 'taken out' },
  meaning: {
    document: 'a document begins',
    group: 'a group begins',
    batch: 'a batch begins',
    flag: 'the page is flagged',
    nothing: 'means nothing',
  },
  on: { first: 'with a page on which', last: 'behind a last page on which' },
}
