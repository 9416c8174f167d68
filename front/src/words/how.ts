/** How each page works: what is measured, what is assumed, and which schools it follows. */
export interface How {
  says: string
  /** Topics on which keepers differ, whose choice shows here. */
  topics: readonly string[]
}

export const HOW: Record<string, How> = {
  system: {
    says:
      'Readings are judged by their worse end against the limits of this life stage, your school and your own ' +
      'limits. Un-ionised ammonia, saturation and CO₂ are worked out from them. Load comes from fish and feed, ' +
      'filter capacity from the media and their history; what was never tested is assumed and marked.',
    topics: ['nitrate', 'margin'],
  },
  test: {
    says:
      'What is due follows from the last tests, the state of the system and the season. A reading stands for ' +
      'all values its kit cannot tell apart; the kit in use on the shelf decides how many those are.',
    topics: ['nitrate'],
  },
  trouble: {
    says:
      'Causes come from the readings of the last two days and from what you see. Amounts go by the volume in use ' +
      'and the labels on the shelf; after each step the water is worked out anew, so that two steps never fight. ' +
      'What may be behind it is ranked by points for what the book says, with the test that would decide. ' +
      'An open incident shows everybody the same steps; it ends ' +
      'when what was bad is read good twice, two days apart, and the fish are well.',
    topics: ['ammonia', 'trouble_feed', 'salt'],
  },
  incident: {
    says:
      'Readings stand here as they turned bad or good by the limits in force now. Deeds come from the book: changes, ' +
      'doses, services, notes, and what was ticked on Trouble. The first sign is searched for in the two weeks ' +
      'before, among what the cause would show.',
    topics: [],
  },
  card: {
    says:
      'Worked out from the build, the fish and the source water, with everything else assumed, so that it stays ' +
      'right on a wall. Minutes with the pump off go by the latest oxygen and temperature. Print it anew when the ' +
      'build changes.',
    topics: ['dechlorination'],
  },
  water: {
    says:
      'Old and new water are mixed by volume; pH follows from their alkalinity and carbon dioxide. A plan takes ' +
      'the fewest changes that stay under the daily limits for a shock. What the source water was not tested for ' +
      'is assumed to be none, except chlorine, which is assumed to be there.',
    topics: ['exchange', 'dechlorination', 'nitrate'],
  },
  trickle: {
    says:
      'A trickle first makes up evaporation (2 mm a day from the open surface is assumed); only the rest runs ' +
      'over and carries something away. Heat losses through walls and surface are rules of thumb.',
    topics: ['exchange', 'dechlorination'],
  },
  'make-water': {
    says:
      'Waters blend in proportion for nitrate, KH, GH, salt and temperature. Minerals and dechlorinators are ' +
      'worked out by weight from their formula, or by the label of what is on the shelf.',
    topics: ['dechlorination'],
  },
  buffer: {
    says:
      'KH, pH and carbon dioxide are in balance: each step shows the pH it leads to and the un-ionised ammonia at ' +
      'that pH. A step that would move pH by more than 0.3 or harm the fish is refused.',
    topics: [],
  },
  capacity: {
    says:
      'Load is what the fish excrete from their feed. Capacity is the least of three limits: surface area, oxygen ' +
      'and flow, times the share of the surface that is alive, followed through the feed and setbacks of a year. ' +
      'A measurement of your own filter goes before all estimates.',
    topics: ['margin', 'filter_size', 'density'],
  },
  maturing: {
    says:
      'The growth of ammonia and nitrite oxidisers is fitted to your readings and carried forward. The band is ' +
      'what the readings leave open. Growth is calibrated to the usual six weeks (common practice), not published.',
    topics: ['fish_start', 'start_uv'],
  },
  service: {
    says:
      'Each kind of part has its jobs, at an interval of common practice: longer in cold water and with little ' +
      'feed. What is seen (flow fallen by a fifth, half fouled) makes it due at once. What a wash costs the ' +
      'filter, the water it takes and the next date are booked by themselves.',
    topics: ['service_when', 'service_how'],
  },
  'service-run': {
    says:
      'Heater and lamp go off before the water falls, and on only after flow was seen. A run is not closed until ' +
      'somebody has seen the flow and what was switched off is on.',
    topics: ['service_how'],
  },
  'service-whole': {
    says:
      'How long fish may stay in a tub follows from their weight and the warmth, pH and ammonia of the water, unfed ' +
      'and with air. What standing costs the filter is by hours, wet and open.',
    topics: ['clean_out'],
  },
  'clear-water': {
    says:
      'A bloom is taken to use nitrate, and oxygen by night, as plants over the whole surface would. The lamp goes ' +
      'by watts for each cubic metre; sight counts only at the same spot.',
    topics: [],
  },
  year: {
    says:
      'A month that was read three times last year stands as measured. Else a pond in the open is assumed by the ' +
      'latitude of the place, to about 7 °C: a stand-in, no forecast.',
    topics: ['winter', 'spring_salt'],
  },
  look: {
    says:
      'What you see here becomes a note in the book and counts at the gate of a quarantine. It is compared with the ' +
      'last look at the same fish. Looks fall due by the protocol of a quarantine, for three weeks after ammonia or ' +
      'nitrite that was dangerous, and while the water warms in spring.',
    topics: [],
  },
  arrivals: {
    says:
      'An opened bag loses its carbon dioxide: pH rises, and ammonia turns un-ionised. A drip goes no faster than ' +
      '2 °C, 0.3 pH and 1 g/L of salt an hour; what is days apart is matched first.',
    topics: [],
  },
  fish: {
    says:
      'Weight follows from length and condition, or is measured. The ration by size and temperature is custom, ' +
      'not measurement; it goes by the steady temperature of the last days.',
    topics: ['density'],
  },
  dose: {
    says:
      'Every dose is for the volume in use, less bays that are shut off, and is rounded down. What is in the ' +
      'water counts by the doses in the book, less decay, changes, trickle and media. Conflicts come before amounts.',
    topics: ['salt', 'ammonia'],
  },
  course: {
    says:
      'What is left of a dose follows from decay, water changes, trickle and carbon or zeolite. The next dose ' +
      'only brings it back to its level. Days between doses follow the temperature.',
    topics: [],
  },
  plumbing: {
    says:
      'Flow, level drop and head are solved for the whole loop from pump curves, bores, lengths and fittings. UV ' +
      'dose is an estimate for comparing; sleeve and lamp age by the hours they were wet and lit.',
    topics: ['turnover', 'circulation'],
  },
  build: {
    says:
      'Volume follows from the shape of each vessel. A water meter or weighed salt gives it another way; you ' +
      'choose which one doses use. Start dates of media decide what lives in the filter.',
    topics: [],
  },
  limits: {
    says:
      'Limits are by life stage; a school changes some of them, and your own limits go before both. They set the ' +
      'state of every reading, what changes aim at, and what a dose may do.',
    topics: [],
  },
  book: {
    says:
      'Nothing is ever lost: a correction keeps what it corrects, and who made it. Lozenges after today are what ' +
      'is expected from the changes and doses in the book.',
    topics: [],
  },
}
