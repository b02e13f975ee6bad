import { formatCount } from '@ellop/core'
import { Button } from 'antd'
import { useBook } from '../book/bookStore'
import { saveFile } from '../notebook/saveFile'

/** Says which stored rows could not be read, and lets them be saved to a file: whoever helps may still read them. */
export function SetAsideBar() {
  const aside = useBook((book) => book.setAside)
  if (aside.length === 0) return null
  return (
    <div className="offline-bar" role="alert">
      <p>
        <span>
          {formatCount(aside.length, 'stored row')} of this book could not be read and{' '}
          {aside.length === 1 ? 'is' : 'are'} left out: {aside.map(({ row }) => row).join('; ')}. The rest of the book
          is open. Check every lot before you eat of it.
        </span>
        <Button onClick={() => saveFile(JSON.stringify(aside, null, 1), 'application/json', 'ellop-unreadable.json')}>
          Save the unreadable rows
        </Button>
      </p>
    </div>
  )
}

/** Says that this machine's clock went back behind what is already noted. */
export function ClockBar() {
  const behind = useBook((book) => book.clockBehind)
  return behind ? (
    <div className="offline-bar" role="alert">
      <p>
        <span>
          The clock of this machine is behind what this book already holds. The latest time in the book is used until
          the clock is right again. Set the clock of the machine.
        </span>
      </p>
    </div>
  ) : null
}
