<script setup lang="ts">
import { useId } from "vue";

const {
  inputType = "text",
  isWrong = false,
  mandatory = false,
} = defineProps<{
  /** The words above it. */
  title: string;
  fieldName: string;
  initialValue?: string;
  placeholder?: string;
  inputType?: "text" | "email" | "number" | "tel" | "time" | "date";
  /** The words below it. */
  helperText?: string;
  isWrong?: boolean;
  mandatory?: boolean;
}>();
const id = useId();
</script>

<template>
  <div class="write" :class="{ 'write--wrong': isWrong }">
    <label class="write__title" :for="id">{{ title }}</label>
    <input
      :id="id"
      class="write__input"
      :name="fieldName"
      :type="inputType"
      :value="initialValue"
      :placeholder="placeholder"
      :required="mandatory"
      :aria-invalid="isWrong"
      :aria-describedby="helperText ? `${id}-help` : undefined"
    />
    <span v-if="helperText" :id="`${id}-help`" class="write__help">{{
      helperText
    }}</span>
  </div>
</template>

<style>
@import "../theme.css";

.write {
  display: flex;
  flex-direction: column;
  gap: 6px;
  font:
    400 16px/24px Inter,
    sans-serif;
  color: var(--tar);
}
.write__title {
  font-weight: 600;
}
.write__input {
  min-height: 44px;
  padding: 8px 12px;
  border: 1px solid var(--seam);
  border-radius: 8px;
  background: var(--page);
  font: inherit;
}
.write__help {
  font-size: 14px;
  color: var(--tar-soft);
}
.write--wrong .write__input {
  border-color: var(--brick);
}
.write--wrong .write__help {
  color: var(--brick);
}
</style>
