import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { defineComponent } from 'vue'
import type { Schema } from '../api/types'
import { useWords } from '../composables/useWords'
import { i18n } from '../i18n'

let words!: ReturnType<typeof useWords>
mount(defineComponent({ setup: () => ((words = useWords()), () => null) }), { global: { plugins: [i18n] } })

test('a code becomes a sentence with its values, and fewer words on a tag', () => {
  const patch = { code: 'patchByEdge' as const, with: { code: '2', mm: '13' } }
  expect(words.reason(patch)).toBe(
    'patch 2, read from the nearest edge, 13 mm away, taken for the leading one',
  )
  expect(words.inShort(patch)).toBe('patch 2')
  expect(words.reason({ code: 'readTwoWays', with: { alone: 'a@b {x} | y', withPage: 'c' } })).toBe(
    'read by itself this says "a@b {x} | y", with the page "c"',
  )
  expect(words.reason(undefined)).toBe('')
})

const plain = { because: null as unknown as Schema['Logged']['because'] }

test('the log counts pages and says what was undone', () => {
  expect(words.logged({ ...plain, act: 'setAside', step: 'DONE', with: { pages: '3' } })).toBe(
    'set aside page 3',
  )
  expect(words.logged({ ...plain, act: 'movedToEnd', step: 'UNDONE', with: { pages: '3, 4' } })).toBe(
    'undid: moved pages 3, 4 to the end',
  )
  expect(words.logged({ ...plain, act: 'asWritten', step: 'DONE', with: { text: 'took over' } })).toBe(
    'took over',
  )
})

test('the ledger leaves out what is nothing', () => {
  const none = {
    received: 1,
    filed: 1,
    blank: 0,
    separator: 0,
    setAside: 0,
    erased: 0,
    unreadable: 0,
    withdrawn: 0,
    open: 0,
  }
  expect(words.ledger(none, [])).toBe('1 page received = 1 filed + 0 open')
  expect(
    words.ledger({ ...none, received: 6, separator: 2, setAside: 1, unreadable: 2 }, ['M. Tarrow']),
  ).toBe('6 pages received = 1 filed + 2 separators + 1 set aside by M. Tarrow + 2 not readable + 0 open')
})
