import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import { useAccount } from '../signin/account.ts'

declare module 'vue-router' {
  interface RouteMeta {
    /** The key of the page's title among the teacher's words. */
    title?: string
    /** Whether it is there for everybody. */
    open?: true
    /** Whether it takes the whole window, without the bar of views. */
    bare?: true
  }
}

const moveProps = (to: RouteLocation) => ({ moveId: String(to.params.move) })

/** The teacher's views; every one except the sign-in needs a teacher. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('../signin/SignInPage.vue'),
      meta: { title: 'signIn.go', open: true },
    },
    {
      path: '/sign-in/:token',
      name: 'link-sign-in',
      component: () => import('../signin/LinkSignInPage.vue'),
      props: true,
      meta: { title: 'signIn.go', open: true },
    },
    {
      path: '/sign-up',
      name: 'sign-up',
      component: () => import('../signin/SignUpPage.vue'),
      meta: { title: 'signUp.title', open: true },
    },
    {
      path: '/forgotten',
      name: 'forgotten',
      component: () => import('../signin/ForgottenPage.vue'),
      meta: { title: 'forgotten.title', open: true },
    },
    {
      path: '/password/:token',
      name: 'password',
      component: () => import('../signin/ChoosePasswordPage.vue'),
      props: true,
      meta: { title: 'choose.title', open: true },
    },
    {
      path: '/outbox',
      name: 'outbox',
      component: () => import('../outbox/OutboxPage.vue'),
      meta: { title: 'outbox.title', open: true },
    },
    { path: '/', name: 'desk', component: () => import('../desk/DeskPage.vue'), meta: { title: 'nav.desk' } },
    {
      path: '/draft',
      name: 'draft',
      component: () => import('../draft/DraftPage.vue'),
      meta: { title: 'draft.title' },
    },
    {
      path: '/sessions/:id',
      name: 'compose',
      component: () => import('../compose/ComposePage.vue'),
      props: true,
      meta: { title: 'nav.session' },
    },
    {
      path: '/sessions/:id/handout',
      name: 'handout',
      component: () => import('../handout/HandoutPage.vue'),
      props: true,
      meta: { title: 'compose.handOut' },
    },
    {
      path: '/sessions/:id/prompt',
      name: 'prompt',
      component: () => import('../handout/PromptPage.vue'),
      props: true,
      meta: { title: 'handout.prompt', bare: true },
    },
    {
      path: '/sessions/:id/run',
      name: 'try',
      component: () => import('../compose/TryPage.vue'),
      props: true,
      meta: { title: 'compose.tryIt', bare: true },
    },
    {
      path: '/tests',
      name: 'tests',
      component: () => import('../measures/TestsPage.vue'),
      meta: { title: 'tests.title' },
    },
    {
      path: '/tests/:test',
      name: 'test',
      component: () => import('../measures/TestPage.vue'),
      props: (to: RouteLocation) => ({ testId: String(to.params.test) }),
      meta: { title: 'tests.title' },
    },
    {
      path: '/moves',
      name: 'moves',
      component: () => import('../moves/MovesPage.vue'),
      meta: { title: 'moves.title' },
    },
    {
      path: '/moves/new',
      name: 'new-move',
      component: () => import('../moves/MoveEditPage.vue'),
      meta: { title: 'moves.newTitle' },
    },
    {
      path: '/moves/:move',
      name: 'move',
      component: () => import('../moves/MovePage.vue'),
      props: moveProps,
      meta: { title: 'moves.title' },
    },
    {
      path: '/moves/:move/edit',
      name: 'edit-move',
      component: () => import('../moves/MoveEditPage.vue'),
      props: moveProps,
      meta: { title: 'moves.edit' },
    },
    {
      path: '/classes',
      name: 'classes',
      component: () => import('../classes/ClassesPage.vue'),
      meta: { title: 'classes.title' },
    },
    {
      path: '/classes/:classId',
      name: 'class',
      component: () => import('../classes/ClassPage.vue'),
      props: true,
      meta: { title: 'nav.classes' },
    },
    { path: '/terms', name: 'terms', component: () => import('../term/TermsPage.vue'), meta: { title: 'terms.title' } },
    {
      path: '/term/:id',
      name: 'term',
      component: () => import('../term/TermPage.vue'),
      props: true,
      meta: { title: 'nav.terms' },
    },
    { path: '/bin', name: 'bin', component: () => import('../desk/BinPage.vue'), meta: { title: 'bin.title' } },
    {
      path: '/copy/:token',
      name: 'copy',
      component: () => import('../desk/CopyPage.vue'),
      props: true,
      meta: { title: 'copy.title' },
    },
    {
      path: '/settings',
      name: 'settings',
      component: () => import('../settings/SettingsPage.vue'),
      meta: { title: 'settings.title' },
    },
    {
      path: '/account',
      name: 'account',
      component: () => import('../account/AccountPage.vue'),
      meta: { title: 'account.title' },
    },
    { path: '/:rest(.*)', name: 'lost', component: () => import('./LostPage.vue'), meta: { title: 'lost.title' } },
  ],
})

router.beforeEach(async (to) => {
  if (to.meta.open) return true
  const account = useAccount()
  await account.load()
  return account.state === 'out' ? { name: 'sign-in', query: { next: to.fullPath } } : true
})
