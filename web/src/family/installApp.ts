import type { Router } from 'vue-router'

/**
 * Lets the pages run offline. A newer version waits beside the current one until no session runs, and takes over when any page except the
 * player is opened.
 */
export function installApp(
  router: Router,
  worker = navigator.serviceWorker as ServiceWorkerContainer | undefined,
  built: boolean = import.meta.env.PROD,
): void {
  if (!worker || !built) return
  let waiting: ServiceWorker | null = null
  const runs = () => router.currentRoute.value.name === 'run'
  const takeOver = () => {
    if (waiting && !runs()) waiting.postMessage({ type: 'SKIP_WAITING' })
  }
  void worker.register('/go/sw.js', { scope: '/go/' }).then((registration) => {
    const found = (next: ServiceWorker | null) => {
      waiting = next
      takeOver()
    }
    if (registration.waiting) found(registration.waiting)
    registration.addEventListener('updatefound', () => {
      const next = registration.installing
      next?.addEventListener('statechange', () => {
        if (next.state === 'installed' && worker.controller) found(next)
      })
    })
  })
  router.afterEach(takeOver)
}
