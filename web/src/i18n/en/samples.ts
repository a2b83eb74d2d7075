export default {
  title: 'Types and their samples',
  lesson:
    'Learned {when}, version {n}: of {tried} documents left out {right} came out right ({before} before)',
  again: 'Look again',
  nothing:
    'Nothing is learned yet. Every document that people file is a sample of its type; ' +
    'two of each are enough to begin with.',
  undone: 'What was learned last did worse on new documents, and was given up.',
  noType: 'This stream has no type.',
  known: 'no sample | one sample | {n} samples',
  none: 'No document of this type was filed yet.',
  choose: 'Choose a type to see the documents that it is known by.',
  of: 'Page {page} of batch {batch}',
  by: 'by {by}, {when}',
  picture: 'its picture',
  standing: {
    waiting: 'is being learned',
    known: 'known by it',
    refused: 'refused: others did worse',
    spare: 'spare: others teach more',
    takenOut: 'taken out',
  },
  takeOut: 'Take out',
  putBack: 'Put back',
  makePicture: 'Show the type by it',
}
