import { BarElement, CategoryScale, Chart, Filler, LinearScale, LineElement, PointElement } from 'chart.js'
import { computed } from 'vue'
import { useWords } from '~/composables/use-words'
import { useSettings } from '~/stores/settings'

Chart.register(BarElement, CategoryScale, LinearScale, LineElement, PointElement, Filler)

const LOOKS = {
  light: {
    sheet: '#fcfaf5',
    metal: '#edf0f1',
    soot: '#262321',
    slate: '#54606b',
    hairline: '#d8cdbb',
    chestnut: '#8a4526',
    hatch: '#9aa4ab',
    newMetal: '#1f6e8c',
    removed: '#b8674a',
    stop: '#a6261d',
    wash: '#d3e1e3',
  },
  dark: {
    sheet: '#262321',
    metal: '#4a5157',
    soot: '#efe7da',
    slate: '#adb7c0',
    hairline: '#48413a',
    chestnut: '#d8946a',
    hatch: '#6d777e',
    newMetal: '#74bcd8',
    removed: '#dd9a80',
    stop: '#f28b80',
    wash: '#254451',
  },
} as const

/** Colours and faces for charts, which cannot read the style sheet's tokens. */
export function useChartLook() {
  const settings = useSettings()
  return computed(() => ({
    ...LOOKS[settings.theme],
    wordFont: { family: 'Archivo Variable, sans-serif', size: 13 },
    figureFont: { family: 'B612, monospace', size: 12 },
  }))
}

/**
 * Options of a line chart of figures: two titled axes in the application's own faces, no legend, nothing that moves.
 * `maxX` ends the first axis.
 */
export function useLineOptions(titles: () => { x: string; y: string; maxX?: number; fromZero?: boolean }) {
  const look = useChartLook()
  const { say, sayer } = useWords()
  return computed(() => {
    const { x, y, maxX, fromZero } = titles()
    const axis = (text: string) => ({
      title: { display: true, text: say(text), color: look.value.slate, font: look.value.wordFont },
      grid: { color: look.value.hairline },
      ticks: { color: look.value.slate, font: look.value.figureFont },
    })
    return {
      locale: sayer.value.language,
      animation: false as const,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: { type: 'linear' as const, min: 0, ...(maxX === undefined ? {} : { max: maxX }), ...axis(x) },
        y: { ...(fromZero ? { min: 0 } : {}), ...axis(y) },
      },
    }
  })
}
