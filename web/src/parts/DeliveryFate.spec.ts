import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { Schema } from '../api/client'
import { i18n } from '../i18n'
import { delivery } from '../test/fixtures'
import DeliveryFate from './DeliveryFate.vue'

const reason = { code: 'deliveryNameTaken', with: { name: 'PM-4821-K' } } as never as Schema['Problem']

test('a refused delivery says why, and takes another name that is not nothing', async () => {
  const fate = mount(DeliveryFate, {
    props: {
      delivery: delivery({ state: 'refused', reason, remedies: ['now', 'rename'] }),
      busy: false,
    },
    global: { plugins: [i18n] },
  })
  expect(fate.get('.reason').text().length).toBeGreaterThan(10)
  const [now, rename] = fate.findAll('button')
  await now.trigger('click')
  await rename.trigger('click')
  const name = fate.get('input')
  expect((name.element as HTMLInputElement).value).toBe('PM-4821-K')
  await name.setValue('  ')
  await fate.get('form').trigger('submit')
  await name.setValue('PM-4821-K second')
  await fate.get('form').trigger('submit')
  expect(fate.emitted('fate')).toEqual([['now'], ['rename', 'PM-4821-K second']])
  expect(fate.find('form').exists()).toBe(false)
})

test('a planned delivery is given another place with its whole path, and left out only with a reason', async () => {
  const fate = mount(DeliveryFate, {
    props: { delivery: delivery({ id: null as never, remedies: ['rename', 'leaveOut'] }), busy: false },
    global: { plugins: [i18n] },
  })
  await fate.findAll('button')[0].trigger('click')
  expect((fate.get('input').element as HTMLInputElement).value).toBe('2026/PM-4821-K')
  await fate.get('input').trigger('keydown', { key: 'Escape' })
  await fate.findAll('button')[1].trigger('click')
  expect((fate.get('input').element as HTMLInputElement).value).toBe('')
  await fate.get('form').trigger('submit')
  expect(fate.emitted('fate')).toBeUndefined()
  await fate.get('input').setValue('sent by post')
  await fate.get('form').trigger('submit')
  expect(fate.emitted('fate')).toEqual([['leaveOut', 'sent by post']])
})
