export default {
  title: 'Sign in',
  name: 'Name',
  password: 'Password',
  go: 'Sign in',
  lead: 'Where one document ends and the next begins.',
}
