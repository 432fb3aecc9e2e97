<script setup lang="ts">
defineProps<{ mood?: "calm" | "alert" }>();
defineSlots<{ default(): unknown }>();
</script>

<template>
  <span class="tag" :class="{ 'tag--alert': mood === 'alert' }">
    <slot />
  </span>
</template>

<style>
@import "../theme.css";

.tag {
  padding: 2px 10px;
  border-radius: 999px;
  background: var(--moss-pale);
  color: var(--moss-deep);
  font:
    600 14px/20px Inter,
    sans-serif;
}
.tag--alert {
  background: var(--brick-pale);
  color: var(--brick);
}
</style>
