import type { components } from './contract'

type Schemas = components['schemas']

export type Figure = Schemas['Figure']
export type Origin = Schemas['Origin']
export type Strip = Schemas['Strip']
export type State = Schemas['State']
export type SystemLine = Schemas['SystemLine']
export type System = Schemas['System']
export type Capacity = Schemas['Capacity']
export type Build = Schemas['Build']
export type Vessel = Schemas['Vessel']
export type Stage = Schemas['Stage']
export type Pump = Schemas['Pump']
export type Line = Schemas['Line']
export type Plumbing = Schemas['Plumbing']
export type FishGroup = Schemas['FishGroup']
export type Visit = Schemas['Visit']
export type Vocabulary = Schemas['Vocabulary']
export type Session = Schemas['Session']
export type Source = Schemas['Source']
export type Calculation = Schemas['Calculation']
export type FieldErrors = Record<string, string>
