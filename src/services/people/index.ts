import "server-only";
/** Who may come in and what each may do. What other places, pages and screens may use of it. */
export { endOneSession, invitePerson, setPassphrase, setPin, setRole, shareDevice, signOutEverywhere } from "./access";
export { addPasskey, beginPasskey, beginPasskeySignIn, passkeySite, removePasskey, signInByPasskey } from "./passkeys";
export { recoverSteward } from "./recover";
export { hashSecret, newToken, requirePassphrase, sha256 } from "./secret";
export { openSession, sessionOf, turned, type Found } from "./sessions";
export { claimFarm, joinFarm, lockDevice, signIn, signOut, unlockDevice } from "./signIn";
export { listSigners, isClaimed } from "./signers";
export { onMachine, Opened, type AtSession, type Visitor } from "./visitor";
export { DEMO_PEOPLE, demoPeople } from "./demoPeople";
