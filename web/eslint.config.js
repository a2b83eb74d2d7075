import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'

export default defineConfigWithVueTs(
  { ignores: ['src/api/schema.d.ts', 'dist'] },
  vue.configs['flat/recommended'],
  vueTsConfigs.recommended,
  prettier,
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'max-len': ['error', { code: 120, ignoreUrls: true }],
    },
  },
  // A view is a thin page over parts.
  { files: ['src/views/*.vue'], rules: { 'max-lines': ['error', 200] } },
)
