import { dueNow } from '../book/dueNow'
import { useEffect } from 'react'
import { useNavigate } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { PLACES } from './places'

/** The keys that work everywhere outside a field. */
export function useKeys(showList: () => void): void {
  const navigate = useNavigate()
  const context = useJudgeContext()
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      const typing =
        target.closest('input, textarea, select, [contenteditable], [role="combobox"], .ant-modal') !== null
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      // The address is ahead of the screen while a place is still loading.
      const { pathname } = window.location
      const place = PLACES[Number(event.key) - 1]
      if (place !== undefined) void navigate(place.path)
      else if (event.key === 'p' || event.key === 'P') void navigate('/plants')
      else if (event.key === 'w' || event.key === 'W') void navigate('/basket?weigh=1')
      else if ((event.key === 't' || event.key === 'T') && pathname.startsWith('/lot/'))
        void navigate(`${pathname}?taste=1`)
      else if (event.key === 'n' || event.key === 'N') {
        const next = dueNow(context)[0]
        if (next !== undefined) void navigate(next.pack === null ? `/lot/${next.lot}` : '/larder')
      } else if (event.key === '/') document.querySelector<HTMLInputElement>('[data-find]')?.focus()
      else if (event.key === '?') showList()
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [navigate, context, showList])
}
