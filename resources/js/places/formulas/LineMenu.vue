<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';

/** What can be done with one line besides writing in it. */
defineProps<{ name: string; locked: boolean; placed: boolean }>();
const emit = defineEmits<{ lock: []; swap: []; remove: [] }>();
</script>

<template>
    <Menu as="div" class="relative inline-block">
        <MenuButton class="quiet px-1.5 py-1" :aria-label="`More for ${name || 'this line'}`">⋯</MenuButton>
        <MenuItems class="bg-raised border-rule absolute right-0 z-30 w-60 rounded border py-1 text-left shadow-lg">
            <MenuItem v-slot="{ active }">
                <button type="button" class="block w-full px-3 py-2 text-left" :class="active ? 'bg-lead-wash' : ''" @click="emit('lock')">
                    {{ locked ? 'Let its share move' : 'Lock its share' }}
                </button>
            </MenuItem>
            <MenuItem v-if="placed" v-slot="{ active }">
                <button type="button" class="block w-full px-3 py-2 text-left" :class="active ? 'bg-lead-wash' : ''" @click="emit('swap')">
                    What could take its place
                </button>
            </MenuItem>
            <MenuItem v-slot="{ active }">
                <button
                    type="button"
                    class="block w-full px-3 py-2 text-left"
                    :class="active ? 'bg-lead-wash' : ''"
                    @click="emit('remove')"
                >
                    Take out {{ name || 'this line' }}
                </button>
            </MenuItem>
        </MenuItems>
    </Menu>
</template>
