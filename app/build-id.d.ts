interface ImportMetaEnv {
  /** Another for each build of the app. */
  readonly BUILD_ID?: string
}
