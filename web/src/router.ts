import { createRouter, createWebHistory } from 'vue-router'
import { tell } from './words/words'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/jobs' },
    { path: '/login', component: () => import('./login/LoginView.vue'), meta: { title: tell('common.logIn') } },
    { path: '/jobs', component: () => import('./jobs/JobsView.vue'), meta: { title: tell('common.jobs') } },
    { path: '/jobs/new', component: () => import('./jobs/NewJobView.vue'), meta: { title: tell('common.newJob') } },
    { path: '/jobs/record', component: () => import('./jobs/RecordView.vue'), meta: { title: tell('common.record') } },
    { path: '/jobs/lead', component: () => import('./jobs/LeadView.vue'), meta: { title: tell('common.results') } },
    {
      path: '/jobs/learning',
      component: () => import('./jobs/LearningView.vue'),
      meta: { title: tell('common.ourOwnFailureRates') },
    },
    {
      path: '/policy',
      component: () => import('./policy/PolicyView.vue'),
      meta: { title: tell('common.companyRules') },
    },
    {
      path: '/identify',
      component: () => import('./identify/IdentifyView.vue'),
      meta: { title: tell('common.identify') },
    },
    { path: '/me', component: () => import('./person/PersonView.vue'), meta: { title: tell('personView.you') } },
    { path: '/packs', component: () => import('./packs/PacksView.vue'), meta: { title: tell('common.families') } },
    { path: '/tools', component: () => import('./tools/ToolsView.vue'), meta: { title: tell('common.tools') } },
    {
      path: '/tools/isolation',
      component: () => import('./tools/IsolationTool.vue'),
      meta: { title: tell('common.twoSupplies') },
    },
    {
      path: '/tools/:id',
      component: () => import('./tools/CalculatorTool.vue'),
      props: true,
      meta: { title: tell('common.tools') },
    },
    { path: '/boards', component: () => import('./boards/BoardsView.vue'), meta: { title: tell('common.boards') } },
    {
      path: '/boards/:name',
      component: () => import('./boards/BoardEditor.vue'),
      props: true,
      meta: { title: tell('common.board') },
    },
    {
      path: '/visits/:id',
      component: () => import('./visit/VisitView.vue'),
      props: true,
      meta: { title: tell('common.visit') },
      children: [
        { path: '', name: 'visit', component: () => import('./visit/VisitStart.vue') },
        { path: 'unit', name: 'unit', component: () => import('./visit/UnitView.vue') },
        { path: 'before', name: 'before', component: () => import('./visit/BeforePower.vue') },
        { path: 'power', name: 'power', component: () => import('./visit/PowerView.vue') },
        { path: 'work', name: 'work', component: () => import('./visit/WorkView.vue') },
        { path: 'drawing', name: 'drawing', component: () => import('./visit/DrawingView.vue') },
        { path: 'set-up', name: 'set-up', component: () => import('./visit/SetUpView.vue') },
        { path: 'settings', name: 'settings', component: () => import('./visit/SettingsView.vue') },
        { path: 'verdict', name: 'verdict', component: () => import('./visit/VerdictView.vue') },
        { path: 'ways', name: 'ways', component: () => import('./visit/WayOutView.vue') },
        { path: 'change', name: 'change', component: () => import('./change/ChangeView.vue') },
        { path: 'prove', name: 'prove', component: () => import('./visit/ProveView.vue') },
      ],
    },
    {
      path: '/visits/:id/report',
      name: 'report',
      component: () => import('./report/ReportView.vue'),
      props: true,
      meta: { title: tell('common.report') },
    },
    {
      path: '/:rest(.*)*',
      component: () => import('./common/NotFound.vue'),
      meta: { title: tell('common.nothingHere') },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Brick Signal')} · Brick Signal`
})
