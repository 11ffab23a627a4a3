-- What erasing a client scans, and what is asked for at every look.
CREATE INDEX client_access_client ON client_access (client_id);
CREATE INDEX assessment_client ON assessment (client_id);
CREATE INDEX movement_result_client ON movement_result (client_id);
CREATE INDEX reference_session ON reference_contraction (session_id);
CREATE INDEX home_link_account ON home_link (account_id);
CREATE INDEX audit_account ON audit (account_id);
CREATE INDEX policy_use_policy ON policy_use (policy_id, version);
CREATE INDEX home_note_unread ON home_note (happened_at) WHERE read_at IS NULL;
