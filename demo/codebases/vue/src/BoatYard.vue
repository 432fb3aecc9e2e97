<script setup lang="ts">
import NumberCard from "./widgets/NumberCard.vue";
import PushButton from "./widgets/PushButton.vue";
import SheetBox from "./widgets/SheetBox.vue";
import WriteLine from "./widgets/WriteLine.vue";
</script>

<template>
  <SheetBox heading="Boat yard">
    <NumberCard caption="On the slip" count="3" />
    <WriteLine title="Boat" field-name="boat" helper-text="As painted" />
    <PushButton type="submit">Report</PushButton>
    <PushButton rank="minor" to="/slips">Slips</PushButton>
  </SheetBox>
</template>
