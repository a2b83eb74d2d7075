export default {
  title: 'Nothing to scan again | {n} page to scan again | {n} pages to scan again',
  none: 'Pages that are asked for again at the Page desk are listed here.',
  print: 'Print the list',
  fileOnly: '{file}, page {p}',
  inBatch: 'page {no} of the batch',
  noWords: 'No word can be read on it.',
  by: 'asked by {by}',
  fill: 'Scan it now or take a file',
  show: 'Show it in its batch',
}
