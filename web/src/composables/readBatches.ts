import { api } from '../api/client'

/** The batches of a stream on the Day board that are all read: what is changed about the stream is tried on them. */
export async function readBatches(stream: string) {
  const { data } = await api.GET('/api/board')
  return (data?.batches ?? [])
    .filter((b) => b.stream === stream && b.read === b.pages && b.pages > 0)
    .map((b) => ({ no: b.no, pages: b.pages }))
    .sort((a, b) => b.pages - a.pages)
}
