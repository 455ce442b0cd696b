/** How a device is told to trust the shop's own certificates: what its maker calls the steps, as of 2026. */

export type TrustSystem = 'ipad' | 'android' | 'windows' | 'mac' | 'linux'

export const TRUST_STEPS: Record<TrustSystem, { name: string; steps: readonly string[] }> = {
  ipad: {
    name: 'iPad or iPhone',
    steps: [
      'Open this page in Safari and take the file; allow the download of a profile.',
      'Settings, Profile Downloaded, Install.',
      'Settings, General, About, Certificate Trust Settings: switch on “Fern Yard on …”.',
    ],
  },
  android: {
    name: 'Android tablet or phone',
    steps: [
      'Take the file.',
      'Settings, search for “CA certificate”, Install anyway, and choose fern-yard.crt.',
      'Android says that the network may be monitored: it says so of every authority that somebody added.',
    ],
  },
  windows: {
    name: 'Windows',
    steps: [
      'Take the file and open it: Install Certificate, Current User.',
      'Place all certificates in the following store: Trusted Root Certification Authorities.',
    ],
  },
  mac: {
    name: 'Mac',
    steps: [
      'Take the file and open it: Keychain Access adds it.',
      'Open “Fern Yard on …” there, Trust, When using this certificate: Always Trust.',
    ],
  },
  linux: {
    name: 'Linux',
    steps: [
      'Take the file.',
      'Chromium: Settings, Privacy and security, Security, Manage certificates, Installed by you, Import.',
      'Firefox: Settings, Privacy & Security, View Certificates, Authorities, Import: trust it to identify websites.',
    ],
  },
}

const SIGNS: readonly [RegExp, TrustSystem][] = [
  [/iPad|iPhone/, 'ipad'],
  [/Android/, 'android'],
  [/Windows/, 'windows'],
  [/Mac OS X/, 'mac'],
]

/** Which of them a browser says it runs on. */
export const systemOf = (agent: string): TrustSystem =>
  SIGNS.find(([sign]) => sign.test(agent))?.[1] ?? 'linux'
