<template>
  <section class="place">
    <h1>The bench is empty</h1>
    <p class="empty">
      Open a leader from the <RouterLink to="/shelf">shelf</RouterLink>, or ask one of the schools
      there for a leader made of your spools.
    </p>
  </section>
</template>

<style scoped>
.empty {
  margin-top: 12px;
}
</style>
