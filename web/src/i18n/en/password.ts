export default {
  title: 'Your password',
  lead: '{name}, it has at least 12 characters; a few words that have nothing to do with each other are best.',
  mustChange:
    '{name}, choose a password of your own before you begin: at least 12 characters; a few words ' +
    'that have nothing to do with each other are best.',
  byDirectory: 'You sign in by the directory; your password is kept there.',
  before: 'Password so far',
  after: 'New password',
  again: 'New password once more',
  differ: 'The new password was not typed the same twice.',
  done: 'Your password is changed. Wherever else you were signed in, you are not any more.',
  change: 'Change it',
}
