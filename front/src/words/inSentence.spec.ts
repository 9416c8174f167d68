import { expect, it } from 'vitest'
import { inSentence } from './inSentence'

it('writes names small within a sentence, and signs as they are', () => {
  expect(
    ['Ammonia', 'A dead fish', 'KH gone, pH falling', 'pH too high', 'Too much CO₂', 'GH'].map(inSentence),
  ).toEqual(['ammonia', 'a dead fish', 'KH gone, pH falling', 'pH too high', 'too much CO₂', 'GH'])
})
