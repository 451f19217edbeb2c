/** How the system's Chromium is started: no sandbox as root, and no calls home on a closed network. */
export const CHROMIUM = {
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // A microphone that always beeps, and nobody to ask for leave.
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ],
};

/** The same with WebGL drawn in software, for the simulated rig's picture; the page itself is not. */
export const CHROMIUM_WITH_GL = {
  ...CHROMIUM,
  args: [...CHROMIUM.args, '--enable-unsafe-swiftshader'],
};
