"""HTTP: routers translate and call. No arithmetic, no SQL."""
