# bin/sarcina shots: one picture of each main view, from freshly loaded demo data, in an instance of its own.

run_shots() {
    need_packages chromium chromium-driver
    need_vendor
    need_build
    use_instance shots 8290
    port=$(free_port 8290)
    trap 'stop_server; stop_database' EXIT
    start_database
    grep -q '^SIGN_IN_TRIES=' "$var/.env" || printf 'SIGN_IN_TRIES=1000\n' >> "$var/.env"
    prepare_application
    load_demo
    start_server
    php bin/shots.php "$url"
}
