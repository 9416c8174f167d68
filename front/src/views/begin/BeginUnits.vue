<script setup lang="ts">
import UnitsForm from '@/parts/UnitsForm.vue'
</script>

<!-- The units to read in, before anything is typed in them. -->
<template>
  <p class="lead">
    Which units do you read in? Press your name to choose others at any time; what is kept does not change. A
    number can be typed in any unit, as 240 gal or 64 f.
  </p>
  <UnitsForm press="Go on in these units" />
</template>
