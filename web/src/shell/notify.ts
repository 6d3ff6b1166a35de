import { ElNotification } from 'element-plus'
import 'element-plus/theme-chalk/el-notification.css'

/** A quiet word at the corner; trouble stays longer. */
export function notify(message: string, kind: 'done' | 'trouble' = 'done') {
  ElNotification({
    message,
    duration: kind === 'done' ? 4000 : 12000,
    position: 'bottom-right',
    customClass: `notice notice--${kind}`,
  })
}
