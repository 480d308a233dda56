"""The attack: scripts that try to break the running application on loopback, bounded in time, each giving rows of one table."""
