export default {
  title: 'Programs',
  what: 'Tokens of programs that send batches.',
  inForce: 'in force',
  gone: 'revoked',
  make: 'Make a token',
  name: 'Name of the program',
  none: 'No program may send yet.',
  once: 'Give this to the program now; it is not shown again.',
  revoke: 'Revoke',
  revoked: 'revoked {time}',
  used: 'last used {time}',
  unused: 'never used',
}
