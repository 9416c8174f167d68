let sound: AudioContext | undefined

/** A short, loud tone. Browsers keep still until the page was touched once; then it is heard. */
export function beep(): void {
  sound ??= new AudioContext()
  if (sound.state === 'suspended') void sound.resume()
  const tone = sound.createOscillator()
  const loud = sound.createGain()
  tone.frequency.value = 880
  loud.gain.value = 0.4
  tone.connect(loud).connect(sound.destination)
  tone.start()
  tone.stop(sound.currentTime + 0.4)
}
