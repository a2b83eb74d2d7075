/** Words that several screens say. */
export default {
  unreadAfter: '{attempts} attempts failed; {said}',
  reasonShort: {
    patch: 'patch {code}',
  },
  logStep: {
    undone: 'undid: {done}',
    doneAgain: 'did again: {done}',
  },
  stretch: {
    minutes: '{n} min',
    hours: '{h} h {m}',
    days: '{d} d {h} h',
  },
  ledger: {
    received: '{n} page received | {n} pages received',
    filed: '{n} filed',
    separator: '{n} separator | {n} separators',
    blank: '{n} blank',
    setAside: '{n} set aside',
    setAsideBy: '{n} set aside by {by}',
    erased: '{n} erased',
    unreadable: '{n} not readable',
    withdrawn: '{n} withdrawn',
    open: '{n} open',
  },
  stages: {
    intake: 'Intake',
    pages: 'Pages',
    index: 'Index',
    filing: 'Filing',
    done: 'Done',
  },
}
