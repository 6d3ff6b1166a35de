<template>
  <defs>
    <pattern id="sighter-bands" width="18" height="18" patternUnits="userSpaceOnUse">
      <rect width="9" height="18" class="band-a" />
      <rect x="9" width="9" height="18" class="band-b" />
    </pattern>
  </defs>
</template>

<style scoped>
.band-a {
  fill: var(--sighter-dark);
}

.band-b {
  fill: var(--sighter-light);
}
</style>
