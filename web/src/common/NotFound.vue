<template>
  <main class="page">
    <h1 class="h3">Nothing at this address</h1>
    <p>The link is old or mistyped.</p>
    <RouterLink class="key next" to="/jobs">Jobs of the day</RouterLink>
  </main>
</template>
