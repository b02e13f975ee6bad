import { registerSW } from 'virtual:pwa-register'
import { create } from 'zustand'

interface Offline {
  /** The application is kept in this browser and opens without the server. */
  readonly kept: boolean
  readonly online: boolean
  /** A newer version waits to be taken. */
  readonly newer: boolean
  readonly takeNewer: () => void
}

/** Whether the application stands on its own feet, and whether a newer one waits. */
export const useOffline = create<Offline>(() => ({
  kept: false,
  online: navigator.onLine,
  newer: false,
  takeNewer: () => undefined,
}))

/** Keeps the application in the browser, once, and watches for the network and for newer versions. */
export function keepOffline(): void {
  const set = useOffline.setState
  window.addEventListener('online', () => set({ online: true }))
  window.addEventListener('offline', () => set({ online: false }))
  if (!('serviceWorker' in navigator)) return
  const take = registerSW({
    onOfflineReady: () => set({ kept: true }),
    onNeedRefresh: () => set({ newer: true, takeNewer: () => void take(true) }),
  })
}
