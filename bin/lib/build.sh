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

# The product's fonts, for PDF pages.
ensure_fonts() {
  [ -e storage/fonts/installed-fonts.json ] || rm -f storage/instances/.stamp-fonts
  when_changed fonts "package.json bin/lib/fonts.mjs bin/lib/fonts.php" run_fonts
}

run_fonts() {
  step "Laying down the fonts of printed pages"
  rm -rf storage/fonts
  { node bin/lib/fonts.mjs storage/fonts && php bin/lib/fonts.php storage/fonts; } || die "the fonts of printed pages could not be made; the reason is above"
  chmod -R o+rX storage/fonts
}
