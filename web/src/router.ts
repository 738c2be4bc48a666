import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/jobs' },
    { path: '/login', component: () => import('./login/LoginView.vue'), meta: { title: 'Log in' } },
    { path: '/jobs', component: () => import('./jobs/JobsView.vue'), meta: { title: 'Jobs' } },
    { path: '/jobs/new', component: () => import('./jobs/NewJobView.vue'), meta: { title: 'New job' } },
    { path: '/jobs/record', component: () => import('./jobs/RecordView.vue'), meta: { title: 'Record' } },
    { path: '/jobs/lead', component: () => import('./jobs/LeadView.vue'), meta: { title: 'Results' } },
    {
      path: '/jobs/learning',
      component: () => import('./jobs/LearningView.vue'),
      meta: { title: 'Our own failure rates' },
    },
    { path: '/policy', component: () => import('./policy/PolicyView.vue'), meta: { title: 'Company rules' } },
    { path: '/identify', component: () => import('./identify/IdentifyView.vue'), meta: { title: 'Identify' } },
    { path: '/packs', component: () => import('./packs/PacksView.vue'), meta: { title: 'Families' } },
    { path: '/tools', component: () => import('./tools/ToolsView.vue'), meta: { title: 'Tools' } },
    {
      path: '/tools/economizer',
      component: () => import('./tools/EconomizerTool.vue'),
      meta: { title: 'Economizer' },
    },
    {
      path: '/tools/isolation',
      component: () => import('./tools/IsolationTool.vue'),
      meta: { title: 'Two supplies' },
    },
    {
      path: '/tools/:id',
      component: () => import('./tools/CalculatorTool.vue'),
      props: true,
      meta: { title: 'Tools' },
    },
    { path: '/boards', component: () => import('./boards/BoardsView.vue'), meta: { title: 'Boards' } },
    {
      path: '/boards/:name',
      component: () => import('./boards/BoardEditor.vue'),
      props: true,
      meta: { title: 'Board' },
    },
    {
      path: '/visits/:id',
      component: () => import('./visit/VisitView.vue'),
      props: true,
      meta: { title: 'Visit' },
      children: [
        { path: '', name: 'visit', component: () => import('./visit/VisitStart.vue') },
        { path: 'unit', name: 'unit', component: () => import('./visit/UnitView.vue') },
        { path: 'before', name: 'before', component: () => import('./visit/BeforePower.vue') },
        { path: 'power', name: 'power', component: () => import('./visit/PowerView.vue') },
        { path: 'work', name: 'work', component: () => import('./visit/WorkView.vue') },
        { path: 'drawing', name: 'drawing', component: () => import('./visit/DrawingView.vue') },
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
      meta: { title: 'Report' },
    },
    { path: '/:rest(.*)*', component: () => import('./common/NotFound.vue'), meta: { title: 'Nothing here' } },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Brick Signal')} · Brick Signal`
})
