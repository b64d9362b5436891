-- What a device must sign to show that it has its passkey now: good once and for some minutes.
create table passkey_challenge (
  challenge_sha256 binary(32) not null primary key,
  actor_id bigint unsigned null comment 'who adds one; null for signing in',
  ends_at datetime(3) not null,
  key challenge_end (ends_at)
) engine=innodb default charset=utf8mb4;
