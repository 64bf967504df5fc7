<template>
  <div class="page">
    <h1>There is no such page</h1>
    <p>The address leads nowhere here. <NuxtLink to="/">To the shelf</NuxtLink>.</p>
  </div>
</template>
