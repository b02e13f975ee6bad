import { Button } from 'antd'
import { useNavigate } from 'react-router'
import { DEMO_BOOK } from '../book/books'
import { useBook } from '../book/bookStore'
import { StartOwn } from './StartOwn'

/** The first minute: look round, or begin. The two never mix. */
export default function WelcomePlace() {
  const open = useBook((book) => book.open)
  const navigate = useNavigate()
  return (
    <div className="welcome">
      <section>
        <h1>A kitchen log with eight gates</h1>
        <p className="lead">
          You say what you picked. Ellop holds you to seeing what must be seen, does the measuring and the timing, keeps
          the record, and lets nothing reach a plate through a closed gate.
        </p>
        <p className="caution">
          It never names a plant for you. Nearly certain is not certain. Those who make Ellop have read its plants
          twice, nobody else has checked them: do not decide what to eat from Ellop alone. A doctor, the poison centre
          and the law of your place outrank it.
        </p>
        <Button
          size="large"
          onClick={() => {
            void navigate('/basket')
            void open(DEMO_BOOK)
          }}
        >
          Look round the demonstration first
        </Button>
        <p className="told">
          A made-up mountain hut on a Sunday in May, with its own clock. Nothing of it ever comes into your book.
        </p>
      </section>
      <section className="card">
        <h2>Your own book, in three questions</h2>
        <StartOwn />
      </section>
    </div>
  )
}
