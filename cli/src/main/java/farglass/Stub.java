package farglass;

final class Stub {}
