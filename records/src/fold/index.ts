/** The facts of a site, folded into what it is now. */
export { foldSite, NoSiteError, siteState, type SiteFold } from './fold.ts';
export { packageRoots } from './things.ts';
