import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, csrf, whenEnded, type Schema } from './api/client'

/** Who is signed in. */
export const useSession = defineStore('session', () => {
  const me = ref<Schema['Me'] | null>(null)
  /** The session has ended under a screen that is in use; what was being asked waits for the same person. */
  const ended = ref(false)
  let goOn = () => {}
  whenEnded(() => {
    ended.value = true
    return new Promise((signedIn) => (goOn = signedIn))
  })

  async function known(): Promise<boolean> {
    if (me.value) return true
    const { data } = await api.GET('/api/me')
    me.value = data ?? null
    return me.value !== null
  }

  /** Says what went wrong, or nothing. */
  async function signIn(name: string, password: string): Promise<string | null> {
    const answer = await fetch('/api/sign-in', {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', 'X-XSRF-TOKEN': await csrf() },
      body: new URLSearchParams({ username: name, password }),
    })
    if (!answer.ok) return ((await answer.json()) as { detail: string }).detail
    await signedIn()
    return null
  }

  async function signedIn() {
    const before = me.value
    const { data } = await api.GET('/api/me')
    me.value = data ?? null
    // What another was doing here is not for this person to see or to go on with.
    if (before && before.signIn !== data?.signIn) location.assign('/')
    else if (ended.value) {
      ended.value = false
      goOn()
    }
  }

  /** Looks whether the person has signed in in another window meanwhile. */
  async function signedInElsewhere() {
    if (ended.value && (await fetch('/api/me')).ok) await signedIn()
  }

  /** @return where the browser is to go, so that the person is signed out of the directory too; or nothing */
  async function signOut(): Promise<string> {
    const answer = await fetch('/api/sign-out', {
      method: 'POST',
      headers: { 'X-XSRF-TOKEN': await csrf() },
    })
    me.value = null
    return answer.status === 200 ? answer.text() : ''
  }

  return { me, ended, known, signIn, signedInElsewhere, signOut }
})
