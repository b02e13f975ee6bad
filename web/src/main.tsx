import './app/opening'
import '@fontsource-variable/bitter'
import '@fontsource-variable/source-sans-3'
import './app/shell.css'
import './app/places.css'
import './app/more.css'
import './app/plants.css'
import './app/print.css'
import { ConfigProvider } from 'antd'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { App } from './app/App'
import { keepOffline } from './app/offline'
import { THEME } from './app/theme'
import { startAutosave } from './book/autosave'
import { DEMO_BOOK } from './book/books'
import { useBook } from './book/bookStore'

const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? ''
const root = document.getElementById('root')
const overlays = document.getElementById('overlays')
if (root === null || overlays === null) throw new RangeError('main: expected elements with the ids root and overlays')
// Before anything is drawn: the store answers while that is done. A stranger at the front door is asked which book; whoever
// comes by a link to a place sees the demonstration there.
void useBook.getState().open(undefined, window.location.pathname === '/' ? undefined : DEMO_BOOK)
startAutosave()
keepOffline()
createRoot(root).render(
  <StrictMode>
    {/* Overlays open in a place of their own: for document.body the library would inject styles without the nonce. */}
    <ConfigProvider theme={THEME} csp={{ nonce }} wave={{ disabled: true }} getPopupContainer={() => overlays}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </ConfigProvider>
  </StrictMode>,
)
