import { ref, type ShallowRef } from 'vue'
import { act, api, isStale, tell, type Schema } from '../api/client'

type Delivery = Schema['DeskDelivery']
type Remedy = Delivery['remedies'][number]

/** The word to file a batch, and what people say becomes of single deliveries. */
export function useFates(
  no: string,
  plan: ShallowRef<Schema['Plan'] | undefined>,
  batch: ShallowRef<Schema['BatchDetail'] | null>,
  reload: () => Promise<unknown>,
) {
  const busy = ref(false)

  async function file() {
    if (busy.value) return
    busy.value = true
    const { data, error } = await act(batch.value, (header) =>
      api.POST('/api/batches/{no}/filing', { params: { path: { no }, header } }),
    )
    busy.value = false
    if (data) plan.value = data
    else tell(error)
    if (data || isStale(error)) await reload()
  }
  /** Before it is filed nothing was tried: what is wanted is kept until then. */
  const wish = (d: Delivery, fate: Remedy, text: string) =>
    api.POST('/api/batches/{no}/filing/wish', {
      params: { path: { no } },
      body: {
        document: d.document,
        destination: d.destination,
        path: (fate === 'rename' ? text : null) as never,
        leftOut: (fate === 'leaveOut' ? text : null) as never,
      },
    })
  async function decide(d: Delivery, fate: Remedy, name = '') {
    if (busy.value) return
    busy.value = true
    const { data, error } = d.id
      ? await api.POST('/api/batches/{no}/deliveries/{id}', {
          params: { path: { no, id: d.id } },
          body: { fate, name },
        })
      : await wish(d, fate, name)
    busy.value = false
    if (data) plan.value = data
    else tell(error)
  }
  return { busy, file, decide }
}
