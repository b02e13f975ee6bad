import { formatCount } from '@ellop/core'
import { Button } from 'antd'
import { Link } from 'react-router'
import { useSecondCopy } from '../secondCopy/secondCopy'

/** Says that the browser had lost what it stored, and that it is here again. */
export function BroughtBackBar() {
  const broughtBack = useSecondCopy((state) => state.broughtBack)
  if (broughtBack === 0) return null
  return (
    <div className="offline-bar" role="status">
      <p>
        <span>
          This browser had lost {formatCount(broughtBack, 'entry', 'entries')} of this book. They were brought back from
          the second copy. A copy outside of it is safer: <Link to="/books">save the book to a file</Link>.
        </span>
        <Button onClick={() => useSecondCopy.setState({ broughtBack: 0 })}>I have read it</Button>
      </p>
    </div>
  )
}
