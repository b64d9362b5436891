-- What was asked under a key, as a hash: the same key with something else in it is no resend.
alter table request add column asked_sha256 char(64) character set ascii null after use_case;
