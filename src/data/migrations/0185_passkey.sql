-- A way in that a device keeps and nobody can tell another: of each the half that is no secret. Rows end; they are not taken out.
create table passkey (
  id bigint unsigned not null auto_increment primary key,
  credential_id varchar(512) character set ascii collate ascii_bin not null,
  public_key varchar(1400) character set ascii collate ascii_bin not null comment 'base64url of its COSE key',
  counter bigint unsigned not null,
  transports varchar(120) character set ascii not null default '',
  site varchar(255) character set ascii not null comment 'the name of the farm that it was made for; it is good at no other',
  actor_id bigint unsigned not null,
  name varchar(60) not null,
  added_at datetime(3) not null,
  used_at datetime(3) null,
  ended_at datetime(3) null,
  unique key passkey_credential (credential_id),
  key passkeys_of_actor (actor_id),
  constraint passkey_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
