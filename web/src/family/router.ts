import { createRouter, createWebHistory } from 'vue-router'
import FrontPage from './FrontPage.vue'

/** The family's views. Player and results load with the front page, so that nothing is fetched during a session. */
export const router = createRouter({
  history: createWebHistory('/go/'),
  routes: [
    { path: '/', name: 'start', component: () => import('./StartPage.vue') },
    { path: '/book', name: 'book', component: () => import('./BookPage.vue') },
    { path: '/:token', name: 'front', component: FrontPage, props: true },
    { path: '/:token/run', name: 'run', component: () => import('./PlayerPage.vue'), props: true },
    { path: '/:token/done', name: 'done', component: () => import('./AfterPage.vue'), props: true },
  ],
})
