import type { Setting } from './base/SettingFields.vue'

/** What is said of a place, by its kind. */
export const FIELDS: Record<string, Setting[]> = {
  sftp: [
    { name: 'host', needed: true },
    { name: 'port', type: 'number' },
    { name: 'hostKey' },
    { name: 'user', needed: true },
    { name: 'password', type: 'password' },
    { name: 'folder' },
    { name: 'key', type: 'textarea' },
  ],
  webdav: [{ name: 'url', needed: true }, { name: 'user' }, { name: 'password', type: 'password' }],
  s3: [
    { name: 'url', label: 'storeUrl', needed: true },
    { name: 'region' },
    { name: 'bucket', needed: true },
    { name: 'accessKey', needed: true },
    { name: 'password', label: 'secretKey', type: 'password' },
    { name: 'folder' },
  ],
  cmis: [
    { name: 'url', label: 'repositoryUrl', needed: true },
    { name: 'repository' },
    { name: 'user', needed: true },
    { name: 'password', type: 'password' },
    { name: 'folder' },
  ],
  mail: [
    { name: 'host', needed: true },
    { name: 'port', label: 'mailPort', type: 'number' },
    { name: 'sealed', options: ['starttls', 'tls', 'no'] },
    { name: 'user' },
    { name: 'password', type: 'password' },
    { name: 'from', needed: true },
    { name: 'to' },
    { name: 'largestMb', type: 'number' },
    { name: 'link' },
  ],
  program: [
    { name: 'url', label: 'programUrl', needed: true },
    { name: 'keyId' },
    { name: 'password', label: 'sharedKey', type: 'password' },
  ],
}
