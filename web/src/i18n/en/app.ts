export default {
  name: 'Jalon',
  noServer: 'The server does not answer. Try again in a moment.',
  signOut: 'Sign out',
  help: 'Keys',
  close: 'Close',
  undo: 'Undo',
  tryAgain: 'Try again',
  acts: 'More',
  actsFor: 'What can be done with {what}',
  loading: 'Loading',
  keysHere: 'Keys on this screen',
  noKeys: 'This screen has no keys of its own.',
}
