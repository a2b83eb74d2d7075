export default {
  continues: 'more pages for document {document} of {batch}',
  pages: '{n} page | {n} pages',
  sheets: 'on {n} sheet | on {n} sheets',
  documents: '{n} document | {n} documents',
  doubts: '{n} doubt | {n} doubts',
  aside: '{n} taken out',
  segment: 'Document {no}, {pages} pages, {doubts} doubts',
}
