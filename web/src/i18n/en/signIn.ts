export default {
  title: 'Sign in',
  name: 'Name',
  password: 'Password',
  go: 'Sign in',
  ended: 'The session has ended. Sign in again; everything on the screen is still here.',
  lead: 'Where one document ends and the next begins.',
}
