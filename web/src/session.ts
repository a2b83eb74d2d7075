import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, csrf, type Schema } from './api/client'

/** Who is signed in. */
export const useSession = defineStore('session', () => {
  const me = ref<Schema['Me'] | null>(null)

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
    await known()
    return null
  }

  async function signOut() {
    await fetch('/api/sign-out', { method: 'POST', headers: { 'X-XSRF-TOKEN': await csrf() } })
    me.value = null
  }

  return { me, known, signIn, signOut }
})
