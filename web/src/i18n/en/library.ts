/** The component library's own words. */
export { default } from 'element-plus/es/locale/lang/en'
