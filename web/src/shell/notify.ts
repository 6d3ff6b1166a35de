import { ElNotification } from 'element-plus'
import 'element-plus/theme-chalk/el-notification.css'
import { h } from 'vue'

interface Act {
  words: string
  act: () => void
}

/** A quiet word at the corner; trouble stays longer, and so does what can still be undone there. */
export function notify(message: string, kind: 'done' | 'trouble' = 'done', then?: Act) {
  const shown = ElNotification({
    message: then ? h('span', [`${message} `, button(then, () => shown.close())]) : message,
    duration: then ? 10_000 : kind === 'done' ? 4000 : 12_000,
    position: 'bottom-right',
    customClass: `notice notice--${kind}`,
  })
}

function button(then: Act, close: () => void) {
  const act = () => {
    close()
    then.act()
  }
  return h('button', { class: 'link', type: 'button', onClick: act }, then.words)
}
