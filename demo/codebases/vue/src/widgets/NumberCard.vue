<script setup lang="ts">
defineProps<{
  caption: string;
  count: string;
  footnote?: string;
}>();
</script>

<template>
  <div class="number">
    <span>{{ caption }}</span>
    <strong class="number__count">{{ count }}</strong>
    <span v-if="footnote">{{ footnote }}</span>
  </div>
</template>

<style>
@import "../theme.css";

.number {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 20px;
  border: 1px solid var(--seam);
  border-radius: 12px;
  background: var(--page);
  font:
    400 14px/20px Inter,
    sans-serif;
  color: var(--tar-soft);
}
.number__count {
  font-size: 40px;
  line-height: 48px;
  color: var(--tar);
}
</style>
