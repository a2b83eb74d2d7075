export default {
  title: 'Sign-ins that failed',
  name: 'name',
  address: 'address',
  failed: '{n} attempt | {n} attempts',
  until: 'has to wait until {time}',
  waits: 'waits',
  mayTry: 'may try now',
  lift: 'Let try now',
  forget: 'Forget it',
}
