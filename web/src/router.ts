import { createRouter, createWebHistory } from 'vue-router'
import BenchPlace from './bench/BenchPlace.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'bench', component: BenchPlace, meta: { title: 'Bench' } },
    {
      path: '/find',
      name: 'find',
      component: () => import('./find/FindPlace.vue'),
      meta: { title: 'Find me a leader' },
    },
    {
      path: '/tie',
      name: 'tie',
      component: () => import('./tie/TiePlace.vue'),
      meta: { title: 'Tie' },
    },
    {
      path: '/tie/now',
      name: 'tie-now',
      component: () => import('./tie/TieNow.vue'),
      meta: { title: 'Tie it now' },
    },
    {
      path: '/spools/:part(measure|ledger|buy)?',
      name: 'spools',
      component: () => import('./spools/SpoolsPlace.vue'),
      meta: { title: 'Spools' },
    },
    {
      path: '/knots/:knot?',
      name: 'knots',
      component: () => import('./knots/KnotsPlace.vue'),
      meta: { title: 'Knots' },
    },
    {
      path: '/shelf',
      name: 'shelf',
      component: () => import('./shelf/ShelfPlace.vue'),
      meta: { title: 'Shelf' },
    },
    {
      path: '/days/:part(plan|wallet|log)?',
      name: 'days',
      component: () => import('./days/DaysPlace.vue'),
      meta: { title: 'Days' },
    },
    {
      path: '/shared/:part(mine|groups)?',
      name: 'shared',
      component: () => import('./shared/SharedPlace.vue'),
      meta: { title: 'Shared' },
    },
    {
      path: '/account/:part(logins|invite)?',
      name: 'account',
      component: () => import('./account/AccountPlace.vue'),
      meta: { title: 'Account' },
    },
    {
      path: '/operator',
      name: 'operator',
      component: () => import('./account/OperatorPlace.vue'),
      meta: { title: 'The service' },
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title)} · Nine Knots`
})
