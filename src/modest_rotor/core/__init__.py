"""The rules of the job and their computation: no web, no database, no clock."""
