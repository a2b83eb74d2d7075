<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import type { Language } from 'element-plus/es/locale/index'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { isTyping } from './composables/useKeys'
import { useSession } from './session'

// Asked for now and then: the first look does not wait for them.
const KeyHelp = defineAsyncComponent(() => import('./parts/KeyHelp.vue'))
const SignInAgain = defineAsyncComponent(() => import('./parts/SignInAgain.vue'))

const { t, tm, locale } = useI18n()
/** The component library's own words, in the language of the screens. */
const library = computed(() => ({ ...(tm('library') as Language), name: locale.value }))
const session = useSession()
const route = useRoute()
const router = useRouter()
const help = ref(false)
/** Once it was shown it stays, so that the focus goes back to where it was. */
const helped = ref(false)
watch(help, () => (helped.value = true))
const words = ref('')
const reader = computed(() => session.me?.role === 'reader')
const supervisor = computed(() => session.me?.role === 'supervisor')

async function leave() {
  const there = await session.signOut()
  if (there) location.assign(there)
  else await router.push({ name: 'signIn' })
}
function search() {
  void router.push({ name: 'archive', query: { q: words.value } })
}
useEventListener('keydown', (e) => {
  if (isTyping(e) || e.ctrlKey || e.metaKey || !session.me || session.ended) return
  if (e.key === '?') help.value = !help.value
  else if (e.key === '/') {
    e.preventDefault()
    // What is typed next is another search; an arrow goes on with the one that is there.
    document.querySelector<HTMLInputElement>('#archive-words, #top-search')?.select()
  }
})
</script>

<template>
  <ElConfigProvider :locale="library">
    <header v-if="session.me" class="bar">
      <RouterLink class="name" :to="{ name: reader ? 'archive' : 'board' }">
        <svg viewBox="0 0 8 26" width="7" height="22" aria-hidden="true">
          <rect width="8" height="6" fill="#c8372d" />
          <rect y="6" width="8" height="6" fill="#fff" />
          <rect y="12" width="8" height="6" fill="#c8372d" />
          <rect y="18" width="8" height="8" fill="#fff" />
        </svg>
        {{ t('app.name') }}
      </RouterLink>
      <nav>
        <template v-if="!reader">
          <RouterLink :to="{ name: 'board' }">{{ t('nav.board') }}</RouterLink>
          <RouterLink v-if="supervisor" :to="{ name: 'day' }">
            {{ t('nav.day') }}
          </RouterLink>
          <RouterLink :to="{ name: 'intake' }">{{ t('nav.intake') }}</RouterLink>
          <RouterLink :to="{ name: 'rescans' }">{{ t('nav.rescans') }}</RouterLink>
        </template>
        <RouterLink :to="{ name: 'archive' }">{{ t('nav.archive') }}</RouterLink>
        <RouterLink v-if="!reader" :to="{ name: 'streams' }">{{ t('nav.streams') }}</RouterLink>
        <RouterLink v-if="!reader" :to="{ name: 'registers' }">{{ t('nav.registers') }}</RouterLink>
        <RouterLink v-if="supervisor" :to="{ name: 'places' }">{{ t('nav.places') }}</RouterLink>
        <RouterLink v-if="supervisor" :to="{ name: 'people' }">{{ t('nav.people') }}</RouterLink>
      </nav>
      <form v-if="route.name !== 'archive'" class="find" role="search" @submit.prevent="search">
        <ElInput
          id="top-search"
          v-model="words"
          :placeholder="t('archive.search')"
          :aria-label="t('archive.search')"
        />
        <kbd>/</kbd>
      </form>
      <span v-else class="stretch" />
      <RouterLink class="who" :to="{ name: 'me' }" :title="t('password.title')">
        {{ session.me.name }}
      </RouterLink>
      <ElButton link class="plain" @click="leave">{{ t('app.signOut') }}</ElButton>
      <ElButton link class="plain" :aria-expanded="help" @click="help = !help">
        {{ t('app.help') }}
        <kbd>?</kbd>
      </ElButton>
    </header>
    <main>
      <RouterView :key="String(route.params.no ?? '') + String(route.name ?? '')" />
    </main>
    <KeyHelp v-if="helped" v-model="help" />
    <SignInAgain
      v-if="session.ended && session.me"
      :name="session.me.signIn"
      :directory="session.me.directory"
    />
  </ElConfigProvider>
</template>

<style scoped>
.bar {
  min-height: 44px;
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 16px;
  padding: 0 16px;
  background: var(--bar);
  color: #e8edf0;
}
.name {
  display: flex;
  align-items: center;
  gap: 8px;
  color: #fff;
  text-decoration: none;
  font-weight: 700;
  font-size: 17px;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0;
}
nav a {
  color: #cfd8de;
  text-decoration: none;
  padding: 10px 10px 8px;
  border-bottom: 3px solid transparent;
}
nav a:hover {
  color: #fff;
}
nav a.router-link-active {
  color: #fff;
  border-bottom-color: #7fb6bf;
}
.find {
  flex: 1 1 170px;
  display: flex;
  align-items: center;
  justify-content: flex-end;
}
.find .el-input {
  --el-input-width: 100%;
  max-width: 220px;
  --el-input-height: 28px;
  --el-input-bg-color: #2a3644;
  --el-input-text-color: #fff;
  --el-input-border-color: #4b5a68;
  --el-input-placeholder-color: #aab6c0;
}
.who {
  color: #fff;
  text-decoration: none;
}
.who:hover {
  text-decoration: underline;
}
.plain {
  --el-button-text-color: #cfd8de;
  --el-button-hover-link-text-color: #fff;
  --el-button-active-text-color: #fff;
}
main {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
</style>
