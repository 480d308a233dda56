"""Processes beside the server's own: solvers that live as long as it does, and bounded ones for whatever people send in."""
