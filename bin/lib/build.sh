# Builds both front ends into public/$1.

FRONT_END_SOURCES="resources package.json package-lock.json vite.config.js svelte.config.js tsconfig.json"

build_front_ends() {
  [ -e "public/$1/manifest.json" ] || rm -f "storage/instances/.stamp-$1"
  when_changed "$1" "$FRONT_END_SOURCES" run_build "$1"
}

run_build() {
  step "Building the front ends"
  BUILD_DIRECTORY=$1 npx vite build --logLevel error || die "the front ends could not be built; the reason is above"
}
