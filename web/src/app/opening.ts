// Loaded by the page before the program, and needing nothing of it: if the program does not come, this tells it.

/** What stands on the page until the program draws. */
const waiting = () => document.querySelector('#root > .opening')

function tellNotCome(): void {
  const said = waiting()
  if (said === null) return
  const again = document.createElement('button')
  again.textContent = 'Try again'
  again.onclick = () => window.location.reload()
  said.replaceChildren(
    'The program could not be loaded: the server or the network does not answer. What you noted is kept in this browser. ' +
      'If somebody is ill, call the emergency number or the poison centre now, and keep a sample of what was eaten.',
    again,
  )
  said.setAttribute('role', 'alert')
}

// Scripts that do not come are told of on the way down only.
window.addEventListener('error', tellNotCome, true)
window.addEventListener('unhandledrejection', tellNotCome)
