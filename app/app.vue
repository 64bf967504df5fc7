<template><v-app><nuxt-page /></v-app></template>
