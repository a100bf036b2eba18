import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import { useAccount } from '../signin/account.ts'

const moveProps = (to: RouteLocation) => ({ moveId: String(to.params.move) })

/** The teacher's views; every one but the sign-in wants a teacher. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'sign-in', component: () => import('../signin/SignInPage.vue'), meta: { open: true } },
    {
      path: '/sign-in/:token',
      name: 'link-sign-in',
      component: () => import('../signin/LinkSignInPage.vue'),
      props: true,
      meta: { open: true },
    },
    { path: '/sign-up', name: 'sign-up', component: () => import('../signin/SignUpPage.vue'), meta: { open: true } },
    {
      path: '/forgotten',
      name: 'forgotten',
      component: () => import('../signin/ForgottenPage.vue'),
      meta: { open: true },
    },
    {
      path: '/password/:token',
      name: 'password',
      component: () => import('../signin/ChoosePasswordPage.vue'),
      props: true,
      meta: { open: true },
    },
    { path: '/outbox', name: 'outbox', component: () => import('../outbox/OutboxPage.vue'), meta: { open: true } },
    { path: '/', name: 'desk', component: () => import('../desk/DeskPage.vue') },
    { path: '/draft', name: 'draft', component: () => import('../draft/DraftPage.vue') },
    { path: '/sessions/:id', name: 'compose', component: () => import('../compose/ComposePage.vue'), props: true },
    {
      path: '/sessions/:id/handout',
      name: 'handout',
      component: () => import('../handout/HandoutPage.vue'),
      props: true,
    },
    {
      path: '/sessions/:id/prompt',
      name: 'prompt',
      component: () => import('../handout/PromptPage.vue'),
      props: true,
      meta: { bare: true },
    },
    {
      path: '/sessions/:id/run',
      name: 'try',
      component: () => import('../compose/TryPage.vue'),
      props: true,
      meta: { bare: true },
    },
    { path: '/tests', name: 'tests', component: () => import('../measures/TestsPage.vue') },
    {
      path: '/tests/:test',
      name: 'test',
      component: () => import('../measures/TestPage.vue'),
      props: (to: RouteLocation) => ({ testId: String(to.params.test) }),
    },
    { path: '/moves', name: 'moves', component: () => import('../moves/MovesPage.vue') },
    { path: '/moves/new', name: 'new-move', component: () => import('../moves/MoveEditPage.vue') },
    { path: '/moves/:move', name: 'move', component: () => import('../moves/MovePage.vue'), props: moveProps },
    {
      path: '/moves/:move/edit',
      name: 'edit-move',
      component: () => import('../moves/MoveEditPage.vue'),
      props: moveProps,
    },
    { path: '/classes', name: 'classes', component: () => import('../classes/ClassesPage.vue') },
    { path: '/classes/:classId', name: 'class', component: () => import('../classes/ClassPage.vue'), props: true },
    { path: '/terms', name: 'terms', component: () => import('../term/TermsPage.vue') },
    { path: '/term/:id', name: 'term', component: () => import('../term/TermPage.vue'), props: true },
    { path: '/bin', name: 'bin', component: () => import('../desk/BinPage.vue') },
    { path: '/copy/:token', name: 'copy', component: () => import('../desk/CopyPage.vue'), props: true },
    { path: '/settings', name: 'settings', component: () => import('../settings/SettingsPage.vue') },
    { path: '/account', name: 'account', component: () => import('../account/AccountPage.vue') },
    { path: '/:rest(.*)', name: 'lost', component: () => import('./LostPage.vue') },
  ],
})

router.beforeEach(async (to) => {
  if (to.meta.open) return true
  const account = useAccount()
  await account.load()
  return account.state === 'out' ? { name: 'sign-in', query: { next: to.fullPath } } : true
})
