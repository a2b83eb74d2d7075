import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/atkinson-hyperlegible-mono'
import 'element-plus/es/components/message/style/css'
import './styles/tokens.css'
import './styles/library.css'
import './styles/base.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { i18n, speak } from './i18n'
import { followRoom, place } from './place'
import { router } from './router'

followRoom()
void speak(place.value.language).finally(() =>
  createApp(App).use(createPinia()).use(i18n).use(router).mount('#app'),
)
