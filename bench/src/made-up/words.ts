// What made-up pages say, from the world of the demos.
export const TITLES = [
  'Finds of the week',
  'How to read a tide table',
  'A berth for every boat',
  'What the storm left',
  'Where the seals rest',
  'Walking on mud',
  'Knots for beginners',
  'The night ferry',
  'Harbour watch',
  'Six weeks at sea',
]
export const NAMES = ['Mira Holm', 'Samuel Brandt', 'Ida Lund', 'Noor Visser', 'Tomas Reyes']
export const PLACES = ['Port Ness', 'Sandvik', 'Holm', 'Gull Point', 'Long Strand', 'Old Pier']
export const THINGS = [
  'Green bottle',
  'Ship’s lamp',
  'Net float',
  'Carved spoon',
  'Blue tile',
  'Brass bell',
  'Whale bone',
  'Old anchor',
]
export const LINKS = ['Finds', 'Tides', 'Berths', 'Weather', 'Crew', 'Shop', 'About', 'Messages']
export const ACTIONS = ['Report a find', 'Book a berth', 'Sign on', 'New entry', 'Subscribe']
export const STATES = ['Moored', 'At sea', 'Late', 'Rare']
export const LINES = [
  'The tide comes twice a day, and never at the same hour.',
  'Whoever walks to the island has to know when the sand is dry.',
  'Low water is at six, and the wind has turned to the east.',
  'Good food, and a bunk of your own.',
  'Water and power are included, showers are by the office.',
  'Found under the pier after three days of rain.',
  'Look for the day first; beside it stand four times.',
]
