export default {
  title: 'Sign in',
  name: 'Name',
  password: 'Password',
  go: 'Sign in',
  ended: 'The session has ended. Sign in again; everything on the screen is still here.',
  by: 'Sign in by {name}',
  elsewhere: 'It is open in another window. Come back here when you have signed in.',
  refused: {
    directoryAway: 'The directory does not answer. Try again, or ask who looks after it.',
    directoryFailed: 'The directory did not let you in. Try again.',
    directoryNoRole:
      'The directory knows you, but has you in no group that works with Jalon. Ask who keeps it.',
    directoryTaken:
      'There is somebody else of this name in Jalon. ' +
      'If that is you, a supervisor can have you sign in by the directory, under People.',
    directoryLocked: 'You are not to sign in any more. Ask a supervisor.',
    directoryName: 'The name that the directory has for you cannot be a sign-in name here. Ask a supervisor.',
  },
  lead: 'Where one document ends and the next begins.',
}
