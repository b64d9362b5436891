alter table access_event
  modify kind enum('signed-in','refused','signed-out','ended','joined','unlocked','pin-refused','locked','shared','invited','passphrase','pin','role','recovered',
    'archived','key-added','key-removed') not null;
