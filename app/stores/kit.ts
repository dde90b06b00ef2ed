import { defineStore } from 'pinia'
import type { PaintRef } from '#core/look'
import type { Paint } from '~~/server/db/paints'

/** The paints of the kit. */
export const useKit = defineStore('kit', () => {
  const paints = shallowRef<Paint[]>([])
  const load = async (): Promise<void> => { paints.value = await $fetch<Paint[]>('/api/paints') }
  const find = (id: string) => paints.value.find(p => p.id === id)
  const refOf = ({ id, name, colour }: Paint): PaintRef => ({ id, name, colour })
  return { paints, load, find, refOf }
})
