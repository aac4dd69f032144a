export { accountsApi, useMeQuery } from './accounts.api.js';
export { AccountMenu } from './AccountMenu.js';
export { SignIn } from './SignIn.js';
export { SignedIn } from './SignedIn.js';
