import { createRouter, createWebHistory } from 'vue-router'
import { closeSlip } from './state/slip'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'home', component: () => import('./views/home/HomePage.vue') },
    { path: '/round', name: 'round', component: () => import('./views/round/RoundPage.vue') },
    { path: '/shelf', name: 'shelf', component: () => import('./views/shelf/ShelfPage.vue') },
    { path: '/new', name: 'new', component: () => import('./views/home/NewSystemPage.vue') },
    {
      path: '/:system',
      component: () => import('./views/system/SystemFrame.vue'),
      children: [
        { path: '', name: 'system', component: () => import('./views/system/SystemPage.vue') },
        { path: 'test', name: 'test', component: () => import('./views/test/TestPage.vue') },
        { path: 'book', name: 'book', component: () => import('./views/book/BookPage.vue') },
        { path: 'capacity', name: 'capacity', component: () => import('./views/capacity/CapacityPage.vue') },
        {
          path: 'maturing',
          name: 'maturing',
          meta: { tab: 'capacity' },
          component: () => import('./views/maturing/MaturingPage.vue'),
        },
        {
          path: 'trouble',
          name: 'trouble',
          meta: { tab: 'system' },
          component: () => import('./views/trouble/TroublePage.vue'),
        },
        { path: 'fish', name: 'fish', component: () => import('./views/fish/FishPage.vue') },
        {
          path: 'limits',
          name: 'limits',
          meta: { tab: 'system' },
          component: () => import('./views/limits/LimitsPage.vue'),
        },
        {
          path: 'water',
          component: () => import('./views/water/WaterFrame.vue'),
          children: [
            { path: '', name: 'water', component: () => import('./views/water/ChangePage.vue') },
            {
              path: 'trickle',
              name: 'trickle',
              meta: { tab: 'water' },
              component: () => import('./views/water/TricklePage.vue'),
            },
            {
              path: 'make',
              name: 'make-water',
              meta: { tab: 'water' },
              component: () => import('./views/water/MakePage.vue'),
            },
            {
              path: 'buffer',
              name: 'buffer',
              meta: { tab: 'water' },
              component: () => import('./views/water/BufferPage.vue'),
            },
          ],
        },
        { path: 'dose', name: 'dose', component: () => import('./views/dose/DosePage.vue') },
        {
          path: 'course',
          name: 'course',
          meta: { tab: 'dose' },
          component: () => import('./views/dose/CoursePage.vue'),
        },
        { path: 'plumbing', name: 'plumbing', component: () => import('./views/plumbing/PlumbingPage.vue') },
        { path: 'build', name: 'build', component: () => import('./views/build/BuildPage.vue') },
      ],
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})

router.afterEach((to, from) => {
  if (to.path !== from.path) closeSlip()
})
