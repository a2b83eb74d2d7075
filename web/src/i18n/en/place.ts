export default {
  title: 'This desk',
  lead: 'Kept with this browser; it holds at once.',
  region: 'Dates and figures as in',
  hours: 'Times',
  room: 'Surroundings',
  asBrowser: 'as the browser says',
  asRegion: 'as usual there',
  h12: '12 hours',
  h23: '24 hours',
  light: 'light',
  dim: 'dim; paper stays paper',
  example: 'Now is {example}.',
}
