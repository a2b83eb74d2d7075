import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { api, type Schema } from '../api/client'
import { i18n } from '../i18n'
import { useSession } from '../session'

/** Never answers. */
export const PENDING = Symbol('pending')
/** What the server answers to a path: data, a problem, or nothing yet. */
export type Answers = Record<string, unknown>
export const refused = (code: Schema['Problem']['code'], parts = {}) => ({
  error: { code, with: parts },
})

const filled = (path: string, o?: { params?: { path?: Record<string, unknown> } }) =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => String(o?.params?.path?.[name] ?? ''))

/** A view in front of a server that answers as told; `asked` are the paths that were read, in order. */
const PATHS: Record<string, string> = { rest: '/:rest(.*)*', workbench: '/workbench/:stream' }

export async function screen(
  view: Component,
  {
    answers,
    props = {},
    at = '/',
    role = 'supervisor',
  }: { answers: Answers; props?: object; at?: string; role?: Schema['Me']['role'] },
): Promise<VueWrapper & { asked: string[]; sent: [string, unknown][]; answers: Answers }> {
  const asked: string[] = []
  const sent: [string, unknown][] = []
  vi.spyOn(api, 'GET').mockImplementation(((path: string, o: never) => {
    asked.push(filled(path, o))
    const answer = answers[filled(path, o)]
    if (answer === PENDING) return new Promise(() => {})
    const told = answer as { error?: unknown } | undefined
    return Promise.resolve(told?.error ? { error: told.error } : { data: answer ?? [] })
  }) as never)
  for (const method of ['POST', 'PUT', 'DELETE'] as const)
    vi.spyOn(api, method).mockImplementation(((path: string, o: { body?: unknown }) => {
      if (method !== 'DELETE') sent.push([filled(path, o as never), o.body])
      const answer = answers[`${method} ${filled(path, o as never)}`] as { error?: unknown } | undefined
      return Promise.resolve(answer?.error ? { error: answer.error } : { data: answer ?? {} })
    }) as never)
  const pinia = createPinia()
  setActivePinia(pinia)
  useSession().me = { signIn: 't.vane', name: 'T. Vane', role } as Schema['Me']
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      'board',
      'pages',
      'index',
      'table',
      'filing',
      'archive',
      'document',
      'retention',
      'workbench',
      'signIn',
      'rest',
    ].map((name) => ({
      path: PATHS[name] ?? `/${name}/:no?/:id?`,
      name,
      component: { template: '<i />' },
    })),
  })
  await router.push(at)
  const wrapper = mount(view, {
    props: props as never,
    global: { plugins: [pinia, i18n, router] },
    attachTo: document.body,
  })
  await flushPromises()
  return Object.assign(wrapper, { asked, sent, answers })
}
