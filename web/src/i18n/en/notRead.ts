export default {
  page: 'Page {n} could not be read',
  file: 'A file could not be read',
  again: 'Try it again',
}
