import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { defineComponent, nextTick, shallowRef } from 'vue'
import { i18n } from '../i18n'
import { batch, doc, page, value } from '../test/fixtures'
import type { useBatch } from './useBatch'
import { useTable, type Table } from './useTable'

test('a row that is sorted does not run away when its value changes, whatever else the batch holds', async () => {
  const letter = (no: number, vessel: string) => doc(no, [no], { vessel: value('doubtful', vessel) })
  const survey = { ...doc(3, [3]), type: { ...doc(3, [3]).type, type: 'survey' } }
  const documents = shallowRef([letter(1, 'PM-1'), letter(2, 'PM-2'), survey])
  const desk = { batch: shallowRef(batch([page(1, 1)], documents.value)), documents }
  let table: Table | undefined
  const view = mount(
    defineComponent({
      setup() {
        table = useTable(desk as unknown as ReturnType<typeof useBatch>, {}, () => {})
        return () => null
      },
    }),
    { global: { plugins: [i18n] } },
  )
  await nextTick()
  await nextTick()
  table!.sorting.value = { field: 'vessel', down: false }
  await nextTick()
  documents.value = [letter(1, 'PM-9'), letter(2, 'PM-2'), survey]
  await nextTick()
  expect(table!.rows.value.map((d) => d.no)).toEqual([1, 2])
  documents.value = [letter(1, 'PM-9'), letter(2, 'PM-2'), letter(3, 'PM-5')]
  await nextTick()
  expect(table!.rows.value.map((d) => d.no)).toEqual([2, 3, 1])
  view.unmount()
})
