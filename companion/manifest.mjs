/**
 * The manifest of the companion (Manifest V3) for a browser. `hosts`: pages that are granted at install, as match patterns, where an
 * organisation gives it out; else each page is asked for when it is wanted.
 */
export function manifestFor(browser, { version, hosts = [] }) {
  const isFirefox = browser === 'firefox';
  return {
    manifest_version: 3,
    name: 'Elderleaf companion',
    description:
      'Brings the wording of your team’s Elderleaf into the boxes of other pages: by cues, with its blanks.',
    version,
    icons: Object.fromEntries([16, 32, 48, 128].map((size) => [size, `icons/${size}.png`])),
    action: { default_popup: 'popup.html', default_title: 'Elderleaf' },
    background: isFirefox
      ? { scripts: ['background.js'], type: 'module' }
      : { service_worker: 'background.js', type: 'module' },
    permissions: ['storage', 'scripting', 'activeTab', 'alarms', 'contextMenus'],
    optional_host_permissions: ['https://*/*', 'http://*/*'],
    ...(hosts.length > 0 && { host_permissions: hosts }),
    storage: { managed_schema: 'managed.json' },
    content_security_policy: {
      extension_pages: "default-src 'self'; connect-src https: http:; style-src 'self'",
    },
    ...(isFirefox
      ? {
          browser_specific_settings: {
            gecko: { id: 'companion@elderleaf.example', strict_min_version: '128.0' },
          },
        }
      : { minimum_chrome_version: '120' }),
  };
}
