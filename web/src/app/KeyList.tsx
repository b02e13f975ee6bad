import { Modal } from 'antd'
import { PLACES } from './places'

const KEY_LIST = [
  ...PLACES.map(({ name }, index) => [String(index + 1), name] as const),
  ['P', 'look a plant up'],
  ['W', 'weigh in'],
  ['T', 'taste the lot on screen'],
  ['N', 'what is due next'],
  ['/', 'find'],
  ['?', 'this list'],
] as const

/** The list of keys. */
export default function KeyList({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Keys" open onCancel={onClose} footer={null}>
      <dl className="key-list">
        {KEY_LIST.map(([key, does]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  )
}
