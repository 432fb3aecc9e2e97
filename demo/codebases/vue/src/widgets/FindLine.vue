<script lang="ts">
import { defineComponent } from "vue";
import SmallTag from "./SmallTag.vue";

export default defineComponent({
  name: "FindLine",
  components: { SmallTag },
  props: {
    species: { type: String, required: true },
    location: { type: String, required: true },
    seenAt: { type: String, required: true },
    unusual: { type: Boolean, default: false },
  },
});
</script>

<template>
  <div class="find">
    <span class="find__words">
      <span class="find__species">{{ species }}</span>
      {{ location }}
    </span>
    <SmallTag v-if="unusual" mood="alert">Rare</SmallTag>
    <time>{{ seenAt }}</time>
  </div>
</template>

<style>
@import "../theme.css";

.find {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 12px 0;
  font:
    400 14px/20px Inter,
    sans-serif;
  color: var(--tar-soft);
}
.find__words {
  flex: 1;
}
.find__species {
  display: block;
  font-size: 16px;
  font-weight: 600;
  color: var(--tar);
}
</style>
