import { Choice } from '../controls/Choice'
import { showUnits, useUnits } from './units'

/** Which measures are shown; they can be typed either way. */
export function UnitsCard() {
  const units = useUnits((shown) => shown.units)
  return (
    <section className="card units-card">
      <h2>Measures</h2>
      <Choice
        label="Show figures in"
        value={units}
        onChange={(chosen) => void showUnits(chosen)}
        options={[
          { value: 'metric', label: 'g, L, °C, cm' },
          { value: 'kitchen', label: 'oz, cups, °F, in' },
        ]}
      />
      <p className="field-note">
        Any field takes a unit that fits: 8 oz, 1 lb 4 oz, 1½ cups, 180 °F, 250 g. What you type is kept exactly. Cups
        (237 mL), pints (473 mL) and quarts (946 mL) are those of the United States; the files of a book are metric.
      </p>
    </section>
  )
}
