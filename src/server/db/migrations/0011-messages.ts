import type { Migration } from './migration'

/**
 * Messages to customers with what became of them, the shop's own words for them, and links to a page of one vehicle. A key
 * stands for what a message is about: the database itself lets only one of each be written.
 */
export const messages: Migration = {
  name: '0011-messages',
  statements: [
    `ALTER TABLE customers ADD COLUMN language TEXT NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'fr', 'de'))`,
    `ALTER TABLE customers ADD COLUMN write_by TEXT NOT NULL DEFAULT 'email' CHECK (write_by IN ('email', 'text'))`,
    `CREATE TABLE messages (
      id TEXT PRIMARY KEY,
      key TEXT NOT NULL UNIQUE,
      customer_id TEXT NOT NULL REFERENCES customers (id),
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      occasion TEXT NOT NULL,
      language TEXT NOT NULL,
      channel TEXT NOT NULL CHECK (channel IN ('email', 'text')),
      address TEXT NOT NULL CHECK (length(address) > 0),
      subject TEXT NOT NULL,
      text TEXT NOT NULL CHECK (length(text) > 0),
      made_at TEXT NOT NULL,
      not_before TEXT NOT NULL,
      state TEXT NOT NULL CHECK (state IN ('waiting', 'sending', 'sent', 'withdrawn', 'failed')),
      claimed_at TEXT,
      attempts INTEGER NOT NULL DEFAULT 0,
      last_error TEXT NOT NULL DEFAULT '',
      sent_at TEXT,
      gateway_id TEXT,
      CHECK ((state = 'sent') = (sent_at IS NOT NULL AND gateway_id IS NOT NULL))
    ) STRICT`,
    'CREATE INDEX messages_by_state ON messages (state, not_before)',
    'CREATE INDEX messages_by_vehicle ON messages (vehicle_id, made_at)',
    'CREATE INDEX messages_by_sent ON messages (sent_at)',
    `CREATE TABLE message_events (
      message_id TEXT NOT NULL REFERENCES messages (id),
      kind TEXT NOT NULL CHECK (kind IN ('delivered', 'bounced', 'replied')),
      words TEXT NOT NULL DEFAULT '',
      at TEXT NOT NULL,
      read_at TEXT,
      PRIMARY KEY (message_id, kind)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE skipped_messages (
      key TEXT PRIMARY KEY,
      at TEXT NOT NULL
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE templates (
      occasion TEXT NOT NULL,
      language TEXT NOT NULL,
      subject TEXT NOT NULL,
      text TEXT NOT NULL CHECK (length(text) > 0),
      PRIMARY KEY (occasion, language)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE owner_links (
      token_hash TEXT PRIMARY KEY,
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      customer_id TEXT NOT NULL REFERENCES customers (id),
      made_at TEXT NOT NULL,
      expires_at TEXT NOT NULL,
      revoked_at TEXT
    ) STRICT`,
    'CREATE INDEX owner_links_by_vehicle ON owner_links (vehicle_id)',
  ],
}
