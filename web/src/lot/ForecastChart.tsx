import type { TasteForecast } from '@ellop/core'
import { BarChart, LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { init, use as register } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { useEffect, useRef } from 'react'

register([BarChart, LineChart, ScatterChart, GridComponent, MarkLineComponent, CanvasRenderer])

const FAMILY = '"Source Sans 3 Variable", sans-serif'
const SIZE = 15
const INK = '#4c5a52'
const RUST = '#9c3220'
const MOSS = '#3f6335'
const text = { color: INK, fontSize: SIZE, fontFamily: FAMILY }

/** The taste bath by bath: its middle, where eight lots of ten lie, the crumbs that were tasted, and the chance that so many baths are enough. */
export default function ForecastChart({
  forecast,
  crumbs,
  done,
  least,
  target,
  shown,
}: {
  forecast: TasteForecast
  crumbs: readonly { readonly afterBath: number; readonly score: number }[]
  done: number
  least: number
  target: number
  shown: number
}) {
  const frame = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (frame.current === null) return undefined
    const chart = init(frame.current)
    const fit = new ResizeObserver(() => chart.resize())
    fit.observe(frame.current)
    const bath = Array.from({ length: shown }, (_, index) => index + 1)
    const at = (each: number) => forecast.score[each - 1]
    const chances = bath.map((each) => Math.max(0, (forecast.enough[each] ?? 0) - (forecast.enough[each - 1] ?? 0)))
    const grid = { left: 62, right: 18 }
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: FAMILY, fontSize: SIZE },
      grid: [
        { ...grid, top: 16, height: 170 },
        { ...grid, top: 212, height: 62 },
      ],
      xAxis: [
        { type: 'category', data: bath, gridIndex: 0, axisLabel: { show: false }, axisTick: { show: false } },
        {
          type: 'category',
          data: bath,
          gridIndex: 1,
          name: 'after so many baths',
          nameLocation: 'middle',
          nameGap: 28,
          nameTextStyle: text,
          axisLabel: text,
        },
      ],
      yAxis: [
        {
          type: 'value',
          gridIndex: 0,
          min: 0,
          max: 10,
          interval: 5,
          axisLabel: { ...text, formatter: (value: number) => ({ 0: 'mild', 5: '5', 10: 'bitter' })[value] ?? '' },
          splitLine: { lineStyle: { color: '#e4dcc6' } },
        },
        {
          type: 'value',
          gridIndex: 1,
          min: 0,
          max: Math.max(0.2, ...chances),
          splitLine: { show: false },
          axisLabel: { show: false },
          name: 'chance',
          nameLocation: 'middle',
          nameTextStyle: text,
          nameGap: 22,
        },
      ],
      series: [
        {
          type: 'line',
          stack: 'fan',
          data: bath.map((each) => at(each)?.p10 ?? 0),
          symbol: 'none',
          lineStyle: { opacity: 0 },
          silent: true,
        },
        {
          type: 'line',
          stack: 'fan',
          data: bath.map((each) => (at(each)?.p90 ?? 0) - (at(each)?.p10 ?? 0)),
          symbol: 'none',
          lineStyle: { opacity: 0 },
          areaStyle: { color: '#c98a2b', opacity: 0.26 },
          silent: true,
        },
        {
          type: 'line',
          data: bath.map((each) => at(each)?.mean ?? 0),
          symbol: 'none',
          lineStyle: { color: '#8a5a10', width: 3 },
          silent: true,
          markLine: {
            symbol: 'none',
            silent: true,
            data: [
              {
                yAxis: target,
                lineStyle: { color: MOSS, width: 2.5, type: 'solid' },
                label: {
                  formatter: 'enough',
                  position: 'insideEndTop',
                  color: MOSS,
                  fontSize: SIZE,
                  fontFamily: FAMILY,
                },
              },
              ...(done > 0
                ? [
                    {
                      xAxis: done - 1,
                      lineStyle: { color: INK, width: 1.5, type: 'dashed' as const },
                      label: { formatter: 'now', color: INK, fontSize: SIZE, fontFamily: FAMILY },
                    },
                  ]
                : []),
            ],
          },
        },
        {
          type: 'scatter',
          data: crumbs
            .filter(({ afterBath }) => afterBath <= shown)
            .map(({ afterBath, score }) => [afterBath - 1, score]),
          symbolSize: 15,
          itemStyle: { color: RUST, borderColor: '#fffdf8', borderWidth: 2 },
          silent: true,
        },
        {
          type: 'bar',
          xAxisIndex: 1,
          yAxisIndex: 1,
          data: chances.map((chance, index) => ({
            value: chance,
            itemStyle: { color: index + 1 < least ? '#d8cfb8' : MOSS },
          })),
          barWidth: '62%',
          silent: true,
        },
      ],
    })
    return () => {
      fit.disconnect()
      chart.dispose()
    }
  }, [forecast, crumbs, done, least, target, shown])
  const said = bathWords(forecast, shown)
  return (
    <div className="forecast-chart">
      <div ref={frame} aria-hidden="true" style={{ height: 322 }} />
      <p className="visually-hidden">{said}</p>
    </div>
  )
}

/** The drawing in words. */
function bathWords({ enough, score }: TasteForecast, shown: number): string {
  return Array.from({ length: shown }, (_, index) => index + 1)
    .map(
      (bath) =>
        `After bath ${bath} about ${(score[bath - 1]?.mean ?? 0).toFixed(1)} of ten bitter, enough with a chance of ${Math.round(100 * (enough[bath] ?? 0))} in a hundred.`,
    )
    .join(' ')
}
