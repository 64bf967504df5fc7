<template><v-btn>hi</v-btn></template>
