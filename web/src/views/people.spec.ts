import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import DirectoryWays from '../parts/DirectoryWays.vue'
import LogList from '../parts/LogList.vue'
import PeopleList from '../parts/PeopleList.vue'
import RightsTable from '../parts/RightsTable.vue'
import { useSession } from '../session'
import { refused, screen } from '../test/screen'
import SignIn from './SignIn.vue'

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})
const button = (text: string) =>
  [...document.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent?.includes(text))!
const tarrow = { signIn: 'm.tarrow', name: 'M. Tarrow', role: 'operator', groups: [], locked: false }
const type = (input: Element | null | undefined, text: string) => {
  ;(input as HTMLInputElement).value = text
  input!.dispatchEvent(new Event('input'))
}
const inputs = () => [...document.querySelectorAll<HTMLInputElement>('.el-drawer input')]

test('somebody new is added, and the password for choosing another is shown once', async () => {
  const view = await screen(PeopleList, {
    answers: {
      '/api/people': [tarrow],
      '/api/groups': [],
      'POST /api/people': { password: 'k7fm-2qpx-9wtd-hv4c' },
    },
  })
  shown = view
  button('Add a person').click()
  await vi.waitFor(() => expect(inputs().length).toBeGreaterThan(1))
  type(inputs()[0], 'B. Castell')
  type(inputs()[1], 'b.castell')
  await flushPromises()
  document.querySelector<HTMLFormElement>('.el-drawer form')!.dispatchEvent(new Event('submit'))
  await vi.waitFor(() => expect(view.text()).toContain('k7fm-2qpx-9wtd-hv4c'))
  expect(view.sent).toEqual([
    [
      '/api/people',
      {
        signIn: 'b.castell',
        name: 'B. Castell',
        role: 'operator',
        locked: false,
        directory: false,
        groups: [],
      },
    ],
  ])
})

test('why somebody cannot be changed is said where it was asked for', async () => {
  shown = await screen(PeopleList, {
    answers: {
      '/api/people': [tarrow],
      '/api/groups': [],
      'PUT /api/people/m.tarrow': refused('lastSupervisor'),
    },
  })
  button('Change').click()
  await vi.waitFor(() => expect(inputs().length).toBeGreaterThan(1))
  document.querySelector<HTMLFormElement>('.el-drawer form')!.dispatchEvent(new Event('submit'))
  await vi.waitFor(() =>
    expect(document.querySelector('.el-drawer')!.textContent).toContain('the last supervisor'),
  )
})

test('a right is given to groups alone, and each cell says whose it is', async () => {
  const rule = { right: 'see', stream: 'letters', type: '', groups: [4] }
  const view = await screen(RightsTable, {
    answers: {
      '/api/rights/streams': [
        {
          stream: 'letters',
          title: 'Letters',
          types: [{ type: 'letter', title: 'Dues letter', confidential: true }],
        },
      ],
      '/api/rights': [rule],
      '/api/groups': [{ id: 4, name: 'Accounts' }],
      'PUT /api/rights': [rule, { right: 'file', stream: 'letters', type: 'letter', groups: [4] }],
    },
  })
  shown = view
  await vi.waitFor(() => expect(view.text()).toContain('Dues letter'))
  expect(view.text()).toContain('confidential')
  const cell = (label: string) => document.querySelector<HTMLElement>(`button[aria-label="${label}"]`)
  expect(cell('All its documents, See: Accounts')).toBeTruthy()
  expect(cell('All its documents, File: operators and supervisors')).toBeTruthy()
  cell('Dues letter, File: as the stream')!.click()
  await vi.waitFor(() => expect(document.querySelector('.el-dialog')!.textContent).toContain('give the word'))
  document.querySelector<HTMLInputElement>('.el-dialog input[type=checkbox]')!.click()
  await flushPromises()
  document.querySelector<HTMLFormElement>('.el-dialog form')!.dispatchEvent(new Event('submit'))
  await vi.waitFor(() => expect(cell('Dues letter, File: Accounts')).toBeTruthy())
  expect(view.sent).toEqual([
    ['/api/rights', { right: 'file', stream: 'letters', type: 'letter', groups: [4] }],
  ])
})

test('the log says in words who did what', async () => {
  const view = await screen(LogList, {
    answers: {
      '/api/people': [tarrow],
      '/api/log': [
        {
          no: 9,
          batch: 'B-0003',
          at: '2026-11-27T09:00:00Z',
          who: 'm.tarrow',
          what: { act: 'filed', step: 'DONE', with: { deliveries: '4' } },
        },
        {
          no: 8,
          batch: null,
          at: '2026-11-27T08:00:00Z',
          who: 't.vane',
          what: {
            act: 'saidRight',
            step: 'DONE',
            with: { right: 'seeConfidential', stream: 'letters', type: '', groups: 'Accounts' },
          },
        },
      ],
    },
  })
  shown = view
  await vi.waitFor(() => expect(view.text()).toContain('M. Tarrow'))
  expect(view.text()).toContain('B-0003')
  expect(view.text()).toContain('fields and types that the stream calls confidential')
  expect(view.text()).not.toContain('seeConfidential')
})

test('who may sign in by the directory is shown the way, and why it did not let somebody in', async () => {
  const view = await screen(SignIn, {
    at: '/signIn?refused=directoryNoRole',
    answers: {
      '/api/sign-in-ways': [{ name: 'Port Merrow directory', at: '/oauth2/authorization/directory' }],
    },
  })
  shown = view
  expect(view.text()).toContain('Sign in by Port Merrow directory')
  expect(view.text()).toContain('in no group that works with Jalon')
})

test('a session that has ended goes on when the person has signed in by the directory in another window', async () => {
  const opened = vi.spyOn(window, 'open').mockReturnValue(null)
  const view = await screen(DirectoryWays, {
    props: { beside: true },
    answers: {
      '/api/sign-in-ways': [{ name: 'Port Merrow directory', at: '/oauth2/authorization/directory' }],
      '/api/me': { signIn: 't.vane', name: 'T. Vane', role: 'supervisor' },
    },
  })
  shown = view
  const session = useSession()
  session.ended = true
  const answers = [{ ok: false }, { ok: true }]
  vi.stubGlobal('fetch', () => Promise.resolve(answers.shift()))
  await view.find('button').trigger('click')
  expect(opened).toHaveBeenCalledWith('/oauth2/authorization/directory', '_blank')
  window.dispatchEvent(new Event('focus'))
  await flushPromises()
  expect(session.ended).toBe(true)
  window.dispatchEvent(new Event('focus'))
  await vi.waitFor(() => expect(session.ended).toBe(false))
  vi.unstubAllGlobals()
})
