# bin/sarcina shots: one picture of each main view, from freshly loaded demo data, in an instance of its own.

run_shots() {
    need_packages $test_packages
    need_vendor
    need_build
    use_instance shots 8290
    rm -rf "$var/pictures"
    mkdir -p "$var/pictures"
    trap 'stop_server; stop_database' EXIT
    # Set-up is seen where nothing is set up yet.
    begin_empty
    php bin/shots.php "$url" nobody
    stop_server
    load_demo
    start_server
    php bin/shots.php "$url" somebody
}
