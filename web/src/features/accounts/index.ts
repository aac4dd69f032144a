export { AccountMenu } from './AccountMenu.js';
export { Forgotten, NewPassword } from './Forgotten.js';
export { Invitation } from './Invitation.js';
export { NewAcademy } from './NewAcademy.js';
export { SignIn } from './SignIn.js';
export { SignedIn } from './SignedIn.js';
export { useLeaveMutation } from './accounts.api.js';
