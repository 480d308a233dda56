"""``./start``: the private database, the demo, and the web server, in one process that cleans up after itself."""
