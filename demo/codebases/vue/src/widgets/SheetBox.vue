<script setup lang="ts">
defineProps<{ heading?: string }>();
</script>

<template>
  <section class="sheet">
    <header v-if="heading || $slots.head">
      <slot name="head">
        <h2>{{ heading }}</h2>
      </slot>
    </header>
    <slot />
  </section>
</template>

<style>
@import "../theme.css";

.sheet {
  padding: 24px;
  border: 1px solid var(--seam);
  border-radius: 12px;
  background: var(--page);
}
</style>
