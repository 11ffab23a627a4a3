-- Who may sign in, who may see which client, and who saw or changed what.

CREATE TABLE account (
  id            TEXT PRIMARY KEY,
  recorded_at   INTEGER NOT NULL,
  sign_in       TEXT NOT NULL UNIQUE,
  name          TEXT NOT NULL,
  role          TEXT NOT NULL CHECK (role IN ('OWNER', 'COACH', 'ASSISTANT')),
  password_hash TEXT NOT NULL,
  disabled_at   INTEGER
) STRICT;

-- Only a digest of the token is kept: a copy of this file signs nobody in.
CREATE TABLE sign_in_token (
  digest     TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account,
  created_at INTEGER NOT NULL,
  expires_at INTEGER NOT NULL
) STRICT;
CREATE INDEX sign_in_token_account ON sign_in_token (account_id);

CREATE TABLE sign_in_failure (
  id      INTEGER PRIMARY KEY,
  sign_in TEXT NOT NULL,
  address TEXT NOT NULL,
  at      INTEGER NOT NULL
) STRICT;
CREATE INDEX sign_in_failure_name ON sign_in_failure (sign_in, at);
CREATE INDEX sign_in_failure_address ON sign_in_failure (address, at);

-- The newest row for a client and an account is in force.
CREATE TABLE client_access (
  id          INTEGER PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT NOT NULL REFERENCES account,
  recorded_at INTEGER NOT NULL,
  kind        TEXT NOT NULL CHECK (kind IN ('OWN', 'SHARED', 'NONE'))
) STRICT;
CREATE INDEX client_access_pair ON client_access (account_id, client_id, id);

CREATE TABLE audit (
  id         INTEGER PRIMARY KEY,
  at         INTEGER NOT NULL,
  account_id TEXT NOT NULL REFERENCES account,
  client_id  TEXT,
  action     TEXT NOT NULL CHECK (action IN ('SAW', 'CHANGED')),
  what       TEXT NOT NULL
) STRICT;
CREATE INDEX audit_client ON audit (client_id, id);
