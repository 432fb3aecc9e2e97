<script setup lang="ts">
withDefaults(
  defineProps<{
    /** How much it asks to be pressed. */
    rank?: "main" | "minor";
    disabled?: boolean;
    /** Where it leads; it is a link then. */
    to?: string;
    type?: "button" | "submit";
  }>(),
  { rank: "main", disabled: false, type: "button" },
);
const emit = defineEmits<{ press: [] }>();
</script>

<template>
  <RouterLink v-if="to" :to="to" class="push" :class="`push--${rank}`">
    <slot />
  </RouterLink>
  <button
    v-else
    class="push"
    :class="`push--${rank}`"
    :type="type"
    :disabled="disabled"
    @click="emit('press')"
  >
    <slot />
  </button>
</template>

<style>
@import "../theme.css";

.push {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-height: 44px;
  padding: 8px 20px;
  border: 1px solid transparent;
  border-radius: 8px;
  font:
    600 16px/24px Inter,
    sans-serif;
  text-decoration: none;
}
.push--main {
  background: var(--moss);
  color: var(--page);
}
.push--minor {
  background: transparent;
  border-color: var(--seam);
  color: var(--moss-deep);
}
</style>
