export default {
  onSheets: '{pages} pages on {sheets} sheets, {documents} documents, {doubts} doubts, {aside} taken out',
  summary: '{pages} pages, {documents} documents, {doubts} doubts, {aside} taken out',
  segment: 'Document {no}, {pages} pages, {doubts} doubts',
}
