/** The palette: paper and ink, dark water, felted leaf, pale straw, rust. Day and night hold the same names. */
export const palettes = {
  day: {
    paper: '#f5f3ec',
    sheet: '#fbfaf5',
    ink: '#17252b',
    soft: '#4d5b5c',
    hair: '#cfcdbf',
    water: '#1f5560',
    onWater: '#fbfaf5',
    leaf: '#5d7052',
    straw: '#c9a93a',
    strawInk: '#6e5812',
    rust: '#a8452c',
    rustInk: '#8d3620',
  },
  night: {
    paper: '#10191c',
    sheet: '#162226',
    ink: '#e9e6d9',
    soft: '#a3afab',
    hair: '#34444a',
    water: '#7fc0c9',
    onWater: '#0d1719',
    leaf: '#97ad88',
    straw: '#d8bd58',
    strawInk: '#e3cd7b',
    rust: '#cf6a4d',
    rustInk: '#ec9a80',
  },
} as const

export type Theme = keyof typeof palettes
