import '@fontsource-variable/bitter'
import '@fontsource-variable/source-sans-3'
import './app/shell.css'
import './app/places.css'
import './app/print.css'
import { App as AntApp, ConfigProvider } from 'antd'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { App } from './app/App'
import { THEME } from './app/theme'

const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? ''
const root = document.getElementById('root')
if (root === null) throw new RangeError('main: expected an element with the id root')
createRoot(root).render(
  <StrictMode>
    <ConfigProvider theme={THEME} csp={{ nonce }} wave={{ disabled: true }}>
      <AntApp>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </AntApp>
    </ConfigProvider>
  </StrictMode>,
)
