import type { StandProjection } from '@ellop/core'
import { LineChart } from 'echarts/charts'
import { GridComponent } from 'echarts/components'
import { init, use as register } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { useEffect, useRef } from 'react'

register([LineChart, GridComponent, CanvasRenderer])

/** One way of taking, and what becomes of the stand under it. */
export interface Way {
  readonly name: string
  readonly colour: string
  readonly projection: StandProjection
}

/** Quoted: a name with a figure in it is no font name for a canvas otherwise. */
const FAMILY = '"Source Sans 3 Variable", sans-serif'
const SIZE = 15

/** Stands over thirty years under several ways of taking: the middle of a hundred futures, and where eighty of them lie. */
export default function StandChart({ ways, told }: { ways: readonly Way[]; told: string }) {
  const frame = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (frame.current === null) return undefined
    const chart = init(frame.current)
    const fit = new ResizeObserver(() => chart.resize())
    fit.observe(frame.current)
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: FAMILY, fontSize: SIZE },
      grid: { left: 58, right: 128, top: 14, bottom: 42 },
      xAxis: {
        type: 'value',
        max: 30,
        name: 'years from now',
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: { color: '#4c5a52', fontSize: SIZE, fontFamily: FAMILY },
        axisLabel: { color: '#4c5a52', fontSize: SIZE, fontFamily: FAMILY },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'log',
        min: 0.1,
        max: 10,
        axisLabel: {
          color: '#4c5a52',
          fontSize: SIZE,
          fontFamily: FAMILY,
          formatter: (value: number) =>
            value === 1 ? 'as now' : value < 1 ? `1/${Math.round(1 / value)}` : `${value} ×`,
        },
        splitLine: { lineStyle: { color: '#e4dcc6' } },
      },
      series: ways.flatMap(({ name, colour, projection: { years } }) => {
        const within = (plants: number) => Math.min(10, Math.max(0.1, plants))
        const line = (values: readonly number[]) => values.map((plants, year) => [year, within(plants)])
        const edge = (key: 'low' | 'high') => ({
          type: 'line' as const,
          data: line(years.map((year) => year[key])),
          symbol: 'none',
          lineStyle: { color: colour, width: 1.2, type: 'dashed' as const, opacity: 0.6 },
          silent: true,
        })
        return [
          edge('low'),
          edge('high'),
          {
            type: 'line' as const,
            data: line(years.map(({ middle }) => middle)),
            symbol: 'none',
            lineStyle: { color: colour, width: 4 },
            endLabel: {
              show: true,
              formatter: name,
              color: colour,
              fontWeight: 700,
              fontSize: SIZE,
              fontFamily: FAMILY,
              width: 118,
              overflow: 'break' as const,
            },
            silent: true,
          },
        ]
      }),
    })
    return () => {
      fit.disconnect()
      chart.dispose()
    }
  }, [ways])
  return <div ref={frame} className="stand-chart" role="img" aria-label={told} />
}
