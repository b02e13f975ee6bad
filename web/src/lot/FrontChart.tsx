import { formatSpan, type LeachPlan } from '@ellop/core'
import { formatVolume } from '../units/units'
import { ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { init, use as register } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { useEffect, useRef } from 'react'

register([ScatterChart, GridComponent, TooltipComponent, CanvasRenderer])

const FAMILY = '"Source Sans 3 Variable", sans-serif'
const SIZE = 15
const INK = '#4c5a52'
const MOSS = '#3f6335'
const AMBER = '#b87a1e'
const text = { color: INK, fontSize: SIZE, fontFamily: FAMILY }
const DOT = 15
const CHOSEN_DOT = 24

/** Plans of which none betters another in everything, by time and water; one is chosen by touching it. */
export default function FrontChart({
  front,
  chosen,
  onChoose,
}: {
  front: readonly LeachPlan[]
  chosen: LeachPlan
  onChoose: (plan: LeachPlan) => void
}) {
  const frame = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (frame.current === null) return undefined
    const chart = init(frame.current)
    const fit = new ResizeObserver(() => chart.resize())
    fit.observe(frame.current)
    const dot = (plan: LeachPlan) => [plan.total.time_min / 60, plan.total.water_mL / 1000]
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: FAMILY, fontSize: SIZE },
      grid: { left: 62, right: 18, top: 30, bottom: 48 },
      tooltip: {
        trigger: 'item',
        formatter: ({ dataIndex }: { dataIndex: number }) => {
          const plan = front[dataIndex]
          return plan === undefined
            ? ''
            : `${plan.baths} baths of ${formatVolume(plan.water_mL)}, ${formatSpan(plan.minutes)} each`
        },
      },
      xAxis: {
        type: 'value',
        scale: true,
        name: 'hours in all',
        nameLocation: 'middle',
        nameGap: 30,
        nameTextStyle: text,
        axisLabel: text,
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        scale: true,
        name: 'litres in all',
        nameTextStyle: { ...text, align: 'left' },
        axisLabel: text,
        splitLine: { lineStyle: { color: '#e4dcc6' } },
      },
      series: [
        { type: 'scatter', data: front.map(dot), symbolSize: DOT, itemStyle: { color: MOSS, opacity: 0.75 } },
        {
          type: 'scatter',
          data: [dot(chosen)],
          symbolSize: CHOSEN_DOT,
          itemStyle: { color: AMBER, borderColor: '#fffdf6', borderWidth: 3 },
          silent: true,
          tooltip: { show: false },
        },
      ],
    })
    chart.on('click', ({ dataIndex }) => {
      const plan = front[dataIndex]
      if (plan !== undefined) onChoose(plan)
    })
    return () => {
      fit.disconnect()
      chart.dispose()
    }
  }, [front, chosen, onChoose])
  const [first, last] = [front[0], front.at(-1)]
  const told =
    first === undefined || last === undefined
      ? ''
      : `Plans between ${formatSpan(first.total.time_min)} with ${formatVolume(first.total.water_mL)} and ${formatSpan(last.total.time_min)} with ${formatVolume(last.total.water_mL)}`
  return <div ref={frame} className="front-chart" role="img" aria-label={told} />
}
