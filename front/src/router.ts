import { createRouter, createWebHistory } from 'vue-router'
import { closeSlip } from './state/slip'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'round', component: () => import('./views/round/RoundPage.vue') },
    { path: '/round', redirect: '/' },
    { path: '/shelf', name: 'shelf', component: () => import('./views/shelf/ShelfPage.vue') },
    { path: '/calendar', name: 'calendar', component: () => import('./views/calendar/CalendarPage.vue') },
    { path: '/report', name: 'report', component: () => import('./views/report/ReportPage.vue') },
    { path: '/losses', name: 'losses', component: () => import('./views/report/LossesPage.vue') },
    { path: '/begin', name: 'begin', component: () => import('./views/begin/BeginPage.vue') },
    { path: '/sheets', name: 'sheets', component: () => import('./views/sheets/SheetsPage.vue') },
    { path: '/you', name: 'you', component: () => import('./views/you/YouPage.vue') },
    { path: '/new', name: 'new', component: () => import('./views/home/NewSystemPage.vue') },
    {
      path: '/:system',
      component: () => import('./views/system/SystemFrame.vue'),
      children: [
        { path: '', name: 'system', component: () => import('./views/system/SystemPage.vue') },
        { path: 'test', name: 'test', component: () => import('./views/test/TestPage.vue') },
        { path: 'trouble', name: 'trouble', component: () => import('./views/trouble/TroublePage.vue') },
        {
          path: 'trouble/card',
          name: 'card',
          component: () => import('./views/trouble/CardPage.vue'),
        },
        {
          path: 'trouble/:incident',
          name: 'incident',
          component: () => import('./views/trouble/IncidentPage.vue'),
        },
        { path: 'water', name: 'water', component: () => import('./views/water/ChangePage.vue') },
        { path: 'water/trickle', name: 'trickle', component: () => import('./views/water/TricklePage.vue') },
        { path: 'water/make', name: 'make-water', component: () => import('./views/water/MakePage.vue') },
        { path: 'water/buffer', name: 'buffer', component: () => import('./views/water/BufferPage.vue') },
        { path: 'capacity', name: 'capacity', component: () => import('./views/capacity/CapacityPage.vue') },
        { path: 'maturing', name: 'maturing', component: () => import('./views/maturing/MaturingPage.vue') },
        { path: 'service', name: 'service', component: () => import('./views/service/ServicePage.vue') },
        {
          path: 'service/whole/:job',
          name: 'service-whole',
          component: () => import('./views/service/WholeJobPage.vue'),
        },
        {
          path: 'service/year',
          name: 'year',
          component: () => import('./views/service/YearPage.vue'),
        },
        {
          path: 'service/clear',
          name: 'clear-water',
          component: () => import('./views/service/ClearPage.vue'),
        },
        {
          path: 'service/:run',
          name: 'service-run',
          component: () => import('./views/service/ServiceRunPage.vue'),
        },
        { path: 'fish', name: 'fish', component: () => import('./views/fish/FishPage.vue') },
        { path: 'look', name: 'look', component: () => import('./views/look/LookPage.vue') },
        { path: 'arrivals', name: 'arrivals', component: () => import('./views/fish/ArrivalsPage.vue') },
        { path: 'dose', name: 'dose', component: () => import('./views/dose/DosePage.vue') },
        { path: 'course', name: 'course', component: () => import('./views/dose/CoursePage.vue') },
        { path: 'plumbing', name: 'plumbing', component: () => import('./views/plumbing/PlumbingPage.vue') },
        { path: 'build', name: 'build', component: () => import('./views/build/BuildPage.vue') },
        { path: 'limits', name: 'limits', component: () => import('./views/limits/LimitsPage.vue') },
        { path: 'book', name: 'book', component: () => import('./views/book/BookPage.vue') },
      ],
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})

router.afterEach((to, from) => {
  if (to.path !== from.path) closeSlip()
})
