"""Devices outside: profiles, the client that reads and writes them, and simulated ones that speak the same protocol."""
