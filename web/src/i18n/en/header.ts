export default {
  title: 'Batch header sheet',
  pages: 'Pages',
  documents: 'Documents',
  print: 'Print the sheet',
}
