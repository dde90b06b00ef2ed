<script setup lang="ts">
import { TabGroup, TabList, Tab, TabPanels, TabPanel } from '@headlessui/vue'

/** The order of the look, and what it is when there is less time. */
const emit = defineEmits<{ close: [] }>()
const painter = usePainter()
onBeforeUnmount(painter.stop)
</script>

<template>
  <PanelDialog open huge title="Order and time" @close="emit('close')">
    <RoomField class="mb-3" />
    <TabGroup>
      <TabList class="mb-3 flex gap-1.5">
        <Tab
          v-for="words in ['Order of the steps', 'When the queue grows', 'In time']"
          :key="words"
          as="template"
        >
          <button class="chip px-3! py-1! text-[0.95rem]!">{{ words }}</button>
        </Tab>
      </TabList>
      <TabPanels>
        <TabPanel><OrderPanel @close="emit('close')" /></TabPanel>
        <TabPanel><QueuePanel @close="emit('close')" /></TabPanel>
        <TabPanel><TimePanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </PanelDialog>
</template>
