export default {
  rescans: 'Rescans',
  board: 'Day board',
  day: 'The day',
  intake: 'Intake',
  archive: 'Archive',
  streams: 'Streams',
  registers: 'Registers',
  places: 'Places',
  people: 'People',
}
