import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from './session'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/desk/board' },
    {
      path: '/desk/sign-in',
      name: 'signIn',
      component: () => import('./views/SignIn.vue'),
      meta: { open: true },
    },
    { path: '/desk/board', name: 'board', component: () => import('./views/DayBoard.vue') },
    { path: '/desk/day', name: 'day', component: () => import('./views/DayView.vue') },
    { path: '/desk/intake', name: 'intake', component: () => import('./views/Intake.vue') },
    {
      path: '/desk/batches/:no/pages',
      name: 'pages',
      component: () => import('./views/PageDesk.vue'),
      props: true,
    },
    {
      path: '/desk/batches/:no/index',
      name: 'index',
      component: () => import('./views/IndexDesk.vue'),
      props: true,
    },
    {
      path: '/desk/batches/:no/table',
      name: 'table',
      component: () => import('./views/TableDesk.vue'),
      props: true,
    },
    {
      path: '/desk/batches/:no/filing',
      name: 'filing',
      component: () => import('./views/FilingDesk.vue'),
      props: true,
    },
    { path: '/desk/registers', name: 'registers', component: () => import('./views/Registers.vue') },
    { path: '/desk/retention', name: 'retention', component: () => import('./views/Retention.vue') },
    { path: '/desk/people', name: 'people', component: () => import('./views/People.vue') },
    { path: '/desk/places', name: 'places', component: () => import('./views/Places.vue') },
    { path: '/desk/rescans', name: 'rescans', component: () => import('./views/Rescans.vue') },
    { path: '/desk/archive', name: 'archive', component: () => import('./views/ArchiveSearch.vue') },
    {
      path: '/desk/archive/:id',
      name: 'document',
      component: () => import('./views/ArchiveDocument.vue'),
      props: true,
    },
    { path: '/desk/streams', name: 'streams', component: () => import('./views/Streams.vue') },
    {
      path: '/desk/streams/:stream',
      name: 'workbench',
      component: () => import('./views/Workbench.vue'),
      props: true,
    },
    { path: '/desk/me', name: 'me', component: () => import('./views/MyPassword.vue') },
    { path: '/:rest(.*)*', redirect: '/desk/board' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (to.meta.open) return true
  if (!(await session.known())) return { name: 'signIn', query: { to: to.fullPath } }
  // Nothing can be done before a password that was given is changed.
  if (session.me?.mustChange && to.name !== 'me') return { name: 'me' }
  // A reader knows the archive and nothing else.
  if (session.me?.role === 'reader' && !['archive', 'document', 'me'].includes(String(to.name)))
    return { name: 'archive' }
  return true
})
