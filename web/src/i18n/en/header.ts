export default {
  title: 'Header sheet',
  what: 'Lies on top of a stack and says for which stream it is and how much follows.',
  pages: 'Pages',
  documents: 'Documents',
  print: 'Print the sheet',
}
